import Button from '@mui/material/Button';
import Popover from '@mui/material/Popover';
import { useRef, useState } from 'react';
import type { StepName } from '../../../contract/review';
import { formatNumber, formatShare, MICROS_PER_UNIT } from '../../../core/units';
import { Choice, MoneyField, NumberField, ShareField } from '../../shared/kit';
import type { ReviewSettings } from '../../../plans/terms';
import type { RoundState } from '../useRoundState';

interface ThresholdsProps {
  state: RoundState;
  step: StepName;
  currency: string;
}

/** From when on a term is proposed: by the probability that it pays, or by plain counts. */
export function Thresholds(props: ThresholdsProps) {
  const { settings, setSettings } = props.state;
  const [isOpen, setOpen] = useState(false);
  const anchor = useRef<HTMLButtonElement>(null);
  return (
    <>
      <Choice
        label="Judged by"
        value={settings.basis}
        onChange={(basis) => setSettings({ basis: basis as ReviewSettings['basis'] })}
      >
        {[
          ['chance', 'by chance'],
          ['counts', 'by counts'],
        ]}
      </Choice>
      <Button ref={anchor} onClick={() => setOpen(true)} title="When a term is proposed">
        {thresholdWords(settings, props.step, props.currency)}
      </Button>
      <Popover
        open={isOpen}
        anchorEl={anchor.current}
        onClose={() => setOpen(false)}
        transitionDuration={0}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      >
        <div className="popForm" role="group" aria-label="When a term is proposed">
          <Fields {...props} />
          {props.step === 'negatives' && <OwnThresholds {...props} />}
        </div>
      </Popover>
    </>
  );
}

/** The thresholds in a few words. @param currency of the account */
function thresholdWords(settings: ReviewSettings, step: StepName, currency: string): string {
  const { basis, surety, minOrders, maxAcos, chance, leastSpend, clicksMultiple } = settings;
  if (step === 'harvest')
    return basis === 'chance'
      ? `${formatShare(surety, 0)} sure of ${formatShare(maxAcos, 0)} ACOS`
      : `${minOrders} orders, ACOS ≤ ${formatShare(maxAcos, 0)}`;
  return basis === 'chance'
    ? `≤ ${formatShare(chance, 0)} to pay, ≥ ${formatNumber(leastSpend / MICROS_PER_UNIT, leastSpend % MICROS_PER_UNIT === 0 ? 0 : 2)} ${currency}`
    : `${formatNumber(clicksMultiple, 1)} × usual clicks`;
}

/** How many ad groups ask for something of their own, and a way back. */
function OwnThresholds({ state: { settings, setSettings } }: ThresholdsProps) {
  const count = Object.keys(settings.bySource).length;
  if (count === 0) return null;
  return (
    <p className="note">
      {count === 1 ? '1 ad group asks' : `${count} ad groups ask`} for something of its own (beside a
      proposal).{' '}
      <Button variant="link" onClick={() => setSettings({ bySource: {} })}>
        Ask the same everywhere
      </Button>
    </p>
  );
}

function Fields({ state: { settings, setSettings }, step, currency }: ThresholdsProps) {
  const { basis } = settings;
  if (step === 'harvest')
    return (
      <>
        {basis === 'chance' ? (
          <ShareField
            label="At least"
            after="sure of the ACOS"
            share={settings.surety}
            least={0.01}
            most={0.99}
            step={0.05}
            onShare={(surety) => setSettings({ surety })}
          />
        ) : (
          <NumberField
            label="At least"
            unit="orders"
            value={settings.minOrders}
            min={1}
            step={1}
            onChange={(minOrders) => setSettings({ minOrders })}
          />
        )}
        <ShareField
          label="ACOS at most"
          share={settings.maxAcos}
          least={0.001}
          onShare={(maxAcos) => setSettings({ maxAcos })}
        />
      </>
    );
  if (basis === 'counts')
    return (
      <NumberField
        label="At least"
        unit="×"
        after="the clicks an order usually takes"
        value={settings.clicksMultiple}
        min={0.1}
        step={0.5}
        onChange={(clicksMultiple) => setSettings({ clicksMultiple })}
      />
    );
  return (
    <>
      <ShareField
        label="At most"
        after="chance to pay"
        share={settings.chance}
        least={0.001}
        onShare={(chance) => setSettings({ chance })}
      />
      <MoneyField
        label="At least"
        after="spent"
        micros={settings.leastSpend}
        currency={currency}
        step={MICROS_PER_UNIT}
        onMicros={(leastSpend) => setSettings({ leastSpend })}
      />
    </>
  );
}
