import type { StepName } from '../../../contract/review';
import { MICROS_PER_UNIT, toMicros } from '../../../core/units';
import { NumberField } from '../../shared/NumberField';
import type { RoundState } from '../useRoundState';
import type { ReviewSettings } from '../../../plans/terms';

interface ThresholdsProps {
  state: RoundState;
  step: StepName;
  currency: string;
}

/** From when on a term is proposed: by the probability that it pays, or by plain counts. */
export function Thresholds({ state, step, currency }: ThresholdsProps) {
  const { settings, setSettings } = state;
  const { basis } = settings;
  return (
    <>
      <select
        aria-label="Judged by"
        value={basis}
        onChange={(event) => setSettings({ basis: event.target.value as ReviewSettings['basis'] })}
      >
        <option value="chance">by chance</option>
        <option value="counts">by counts</option>
      </select>
      {step === 'harvest' && basis === 'chance' && (
        <NumberField
          label="% sure of"
          value={settings.surety * 100}
          min={1}
          step={5}
          width={30}
          onChange={(value) => setSettings({ surety: Math.min(0.99, value / 100) })}
        />
      )}
      {step === 'harvest' && basis === 'counts' && (
        <NumberField
          label="orders at least"
          value={settings.minOrders}
          min={1}
          step={1}
          width={30}
          onChange={(minOrders) => setSettings({ minOrders })}
        />
      )}
      {step === 'harvest' && (
        <NumberField
          label="% ACOS"
          value={settings.maxAcos * 100}
          min={0.1}
          step={1}
          width={36}
          onChange={(value) => setSettings({ maxAcos: value / 100 })}
        />
      )}
      {step === 'negatives' && basis === 'chance' && (
        <>
          <NumberField
            label="% chance to pay"
            value={settings.chance * 100}
            min={0.1}
            step={1}
            width={30}
            onChange={(value) => setSettings({ chance: value / 100 })}
          />
          <NumberField
            label={`${currency} spent`}
            value={settings.leastSpend / MICROS_PER_UNIT}
            min={0}
            step={1}
            width={36}
            onChange={(value) => setSettings({ leastSpend: toMicros(value) })}
          />
        </>
      )}
      {step === 'negatives' && basis === 'counts' && (
        <NumberField
          label="× the clicks an order usually takes"
          value={settings.clicksMultiple}
          min={0.1}
          step={0.5}
          width={36}
          onChange={(clicksMultiple) => setSettings({ clicksMultiple })}
        />
      )}
    </>
  );
}
