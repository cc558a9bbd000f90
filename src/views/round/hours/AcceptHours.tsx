import type { ScheduleRow } from '../../../contract/schedules';
import { counted, formatCount, formatMoney } from '../../../core/units';
import { scheduleStake } from '../../../plans/hours';
import { Ask } from '../../shared/kit';
import { ToTheTray } from '../frame/ToTheTray';

interface AcceptHoursProps {
  /** Those that are chosen; others than proposed are left out. */
  rows: readonly ScheduleRow[];
  currency: string;
  onDone: (isWanted: boolean) => void;
}

/** What putting campaigns on schedules comes to, before it is done. */
export function AcceptHours({ rows, currency, onDone }: AcceptHoursProps) {
  const wanted = rows.filter(({ left }) => left === null);
  const gain = wanted.reduce((sum, row) => sum + scheduleStake(row), 0);
  const first = wanted.filter(({ isFirst }) => isFirst).length;
  const lowered = wanted.filter(({ bases }) => bases < 1).length;
  return (
    <Ask
      title={`Put ${counted(wanted.length, 'campaign')} on a schedule?`}
      does={`Accept ${formatCount(wanted.length)}`}
      isOff={wanted.length === 0}
      onDone={onDone}
    >
      <p className="line">
        Expected a month: sales +{formatMoney(gain)} {currency} at the same ACOS.
      </p>
      {first < wanted.length && (
        <p className="line">
          {first > 0
            ? `${formatCount(first)} of them ${first === 1 ? 'is' : 'are'} marked to try first. The others can follow once those have shown what it does.`
            : 'None of them is among those to try first.'}
        </p>
      )}
      {lowered > 0 && (
        <p className="line">
          Schedules of this market can only raise bids: base bids of {counted(lowered, 'campaign')} go down
          with them.
        </p>
      )}
      <ToTheTray />
    </Ask>
  );
}
