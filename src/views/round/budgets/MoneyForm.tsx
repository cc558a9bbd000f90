import Radio from '@mui/material/Radio';
import FormControlLabel from '@mui/material/FormControlLabel';
import RadioGroup from '@mui/material/RadioGroup';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { MoneyChoices } from '../../../contract/choices';
import { DAYS_PER_MONTH, formatMoney } from '../../../core/units';
import { MoneyField, NumberField } from '../../shared/kit';

interface MoneyFormProps {
  money: MoneyChoices;
  /** Sum of the daily budgets that run, micros. */
  sum: number;
  currency: string;
  onDone: (money: Partial<MoneyChoices>) => void;
}

/** Asks once what the total of the budgets means: it stays, or so much may be spent a month. */
export function MoneyForm({ money, sum, currency, onDone }: MoneyFormProps) {
  const [means, setMeans] = useState(money.means ?? 'sum stays');
  const [month, setMonth] = useState(money.month);
  const [over, setOver] = useState(money.over);
  const isReady = means === 'sum stays' || month !== null;
  const daily = month === null ? 0 : month / DAYS_PER_MONTH;
  return (
    <div className="popForm" role="group" aria-label="What the money is for">
      <strong>What may be spent?</strong>
      <RadioGroup value={means} onChange={(_, next) => setMeans(next as typeof means)}>
        <FormControlLabel
          value="sum stays"
          control={<Radio size="small" />}
          label={`The daily budgets stay at ${formatMoney(sum)} ${currency} together, to the cent`}
        />
        <FormControlLabel value="money" control={<Radio size="small" />} label="So much money a month" />
      </RadioGroup>
      {means === 'money' && (
        <>
          <MoneyField
            label="A month"
            currency={currency}
            micros={month}
            least={1_000_000}
            step={10_000_000}
            onMicros={setMonth}
          />
          <NumberField
            label="Budgets may come to"
            unit="×"
            after="of a day’s money"
            value={over}
            min={1}
            max={1.5}
            step={0.05}
            onChange={setOver}
          />
          {month !== null && (
            <p className="note">
              {formatMoney(daily)} {currency} a day on average. Bids hold what is expected at that; budgets
              may come to {formatMoney(daily * over)}, because seldom all are spent on one day. The dearest
              day comes to about 1.3 times the average, a month to within 3 %.
            </p>
          )}
        </>
      )}
      <Button
        variant="contained"
        disabled={!isReady}
        onClick={() => onDone(means === 'money' ? { means, month, over } : { means })}
      >
        Plan with it
      </Button>
    </div>
  );
}
