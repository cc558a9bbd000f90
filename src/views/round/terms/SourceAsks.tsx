import { USUAL_BLOCK_ASKS } from '../../../core/negatives';
import type { BlockAsks } from '../../../core/negatives';
import { MICROS_PER_UNIT } from '../../../core/units';
import { Choice, MoneyField, NumberField } from '../../shared/kit';

interface SourceAsksProps {
  /** The ad group's own thresholds; undefined: what the step asks. */
  asks: BlockAsks | undefined;
  currency: string;
  onAsks: (asks: BlockAsks | undefined) => void;
}

/** What a term has to show before it is proposed as a negative in this ad group: what the step asks, or counts of its own. */
export function SourceAsks({ asks, currency, onAsks }: SourceAsksProps) {
  // Without any threshold every term that was clicked once would be proposed: the last one stays.
  const none = (key: keyof BlockAsks) =>
    Object.entries(asks ?? {}).some(([other, value]) => other !== key && value !== null)
      ? () => onAsks({ ...asks!, [key]: null })
      : undefined;
  return (
    <div className="bar" role="group" aria-label="Asked of a negative in this ad group">
      <Choice
        label="Proposed in this ad group"
        isLabelled
        value={asks ? 'own' : 'step'}
        onChange={(choice) => onAsks(choice === 'own' ? USUAL_BLOCK_ASKS : undefined)}
      >
        {[
          ['step', 'as the step asks'],
          ['own', 'without an order, from …'],
        ]}
      </Choice>
      {asks && (
        <>
          <NumberField
            label="Clicks"
            value={asks.clicks}
            min={1}
            step={1}
            onChange={(clicks) => onAsks({ ...asks, clicks: Math.round(clicks) })}
            onNone={none('clicks')}
          />
          <NumberField
            label="Clicks of an order"
            unit="×"
            value={asks.clicksMultiple}
            min={0.1}
            step={0.5}
            onChange={(clicksMultiple) => onAsks({ ...asks, clicksMultiple })}
            onNone={none('clicksMultiple')}
          />
          <MoneyField
            label="Spent in the window"
            micros={asks.spend}
            currency={currency}
            step={MICROS_PER_UNIT}
            onMicros={(spend) => onAsks({ ...asks, spend })}
            onNone={none('spend')}
          />
        </>
      )}
    </div>
  );
}
