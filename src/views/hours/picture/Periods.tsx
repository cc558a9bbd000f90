import Button from '@mui/material/Button';
import type { AccountInfo } from '../../../contract/api';
import { addDays } from '../../../core/units';
import { Check, Choice, DayField } from '../../shared/kit';
import { WEEKS } from '../useHours';
import type { HoursState } from '../useHours';

/** Over which weeks, and beside which others. */
export function Periods({ account, hours }: { account: AccountInfo; hours: HoursState }) {
  const { weeks, answer, until, beside } = hours;
  const to = answer?.window?.to ?? account.lastDay;
  if (!to) return null;
  const bounds = { ...(account.firstDay && { min: account.firstDay }), max: account.lastDay ?? to };
  return (
    <>
      <Choice label="Over" isLabelled value={weeks} onChange={(next) => hours.setWeeks(Number(next))}>
        {WEEKS.map((one) => [one, `${one} weeks`] as const)}
      </Choice>
      <div className="bar">
        <DayField label="Up to" value={until ?? to} {...bounds} onChange={hours.setUntil} />
        {until !== null && (
          <Button variant="link" onClick={() => hours.setUntil(null)}>
            last settled
          </Button>
        )}
      </div>
      {beside === null ? (
        <Button onClick={() => hours.setBeside(addDays(to, -7 * weeks))}>Beside other weeks …</Button>
      ) : (
        <>
          <div className="bar">
            <DayField label="Beside weeks up to" value={beside} {...bounds} onChange={hours.setBeside} />
            <Button variant="link" onClick={() => hours.setBeside(null)}>
              not
            </Button>
          </div>
          <Check isOn={hours.isDifference} onChange={hours.setDifference}>
            As the difference
          </Check>
        </>
      )}
    </>
  );
}
