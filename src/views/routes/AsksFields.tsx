import { USUAL_ASKS } from '../../core/routes';
import type { RouteAsks } from '../../core/routes';
import { MICROS_PER_UNIT } from '../../core/units';
import { Choice, MoneyField, NumberField, ShareField } from '../shared/kit';

interface AsksFieldsProps {
  asks: RouteAsks | null;
  currency: string;
  onAsks: (asks: RouteAsks | null) => void;
}

type Threshold = Exclude<keyof RouteAsks, 'orders'>;

/** What a term has to show before the route takes it: what the step asks of all, or thresholds of its own. */
export function AsksFields({ asks, currency, onAsks }: AsksFieldsProps) {
  const field = (key: Threshold) => ({
    set: (value: number) => onAsks({ ...asks!, [key]: value }),
    onNone: () => onAsks({ ...asks!, [key]: null }),
  });
  const number = (key: Threshold, label: string, unit: string, step: number) => {
    const { set, onNone } = field(key);
    return (
      <NumberField
        label={label}
        unit={unit}
        value={asks![key]}
        min={0.1}
        step={step}
        onChange={set}
        onNone={onNone}
      />
    );
  };
  return (
    <div className="bar" role="group" aria-label="Asked of a term">
      <Choice
        label="when it shows"
        isLabelled
        value={asks ? 'own' : 'step'}
        onChange={(choice) => onAsks(choice === 'own' ? USUAL_ASKS : null)}
      >
        {[
          ['step', 'what the harvest step asks'],
          ['own', 'at least …'],
        ]}
      </Choice>
      {asks && (
        <>
          <NumberField
            label="Orders"
            value={asks.orders}
            min={1}
            step={1}
            onChange={(orders) => onAsks({ ...asks, orders: Math.round(orders) })}
          />
          {number('clicks', 'Clicks', '', 1)}
          {number('clicksMultiple', 'Clicks of an order', '×', 0.5)}
          <MoneyField
            label="Spent"
            micros={asks.spend}
            currency={currency}
            step={MICROS_PER_UNIT}
            onMicros={field('spend').set}
            onNone={field('spend').onNone}
          />
          {number('days', 'Days with a click', '', 1)}
          <ShareField
            label="ACOS at most"
            share={asks.acos}
            least={0.01}
            onShare={field('acos').set}
            onNone={field('acos').onNone}
          />
          <ShareField
            label="sure of that"
            share={asks.surety}
            least={0.01}
            most={0.99}
            step={0.05}
            onShare={field('surety').set}
            onNone={field('surety').onNone}
          />
        </>
      )}
    </div>
  );
}
