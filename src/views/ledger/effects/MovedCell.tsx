import { Interval } from '../../../charts';
import type { Moved } from '../../../core/effect';
import { signed } from '../../shared/tray/money';
import { movedWords } from './effectWords';

interface MovedCellProps {
  moved: Moved | null;
  isMoreGood: boolean;
  name: string;
  /** The same in money, and what was expected: micros a month (null for ratios), and a share. */
  gained?: number | null;
  expected?: { money: number | null; change: number | null } | null;
}

/** A measured change: figure, interval, and the interval drawn. */
export function MovedCell({ moved, isMoreGood, name, gained = null, expected = null }: MovedCellProps) {
  if (!moved) return <span className="faint">–</span>;
  const { change, low, high } = moved;
  const words = `${movedWords(low)} to ${movedWords(high)}`;
  return (
    <span className="measured" title={`80 % interval ${words}`}>
      <span>
        <strong>{movedWords(change)}</strong> <span className="faint small">{words}</span>
      </span>
      <Interval
        change={change}
        low={low}
        high={high}
        width={140}
        isMoreGood={isMoreGood}
        label={`${name} ${movedWords(change)}, between ${words}`}
      />
      {gained !== null && <span className="faint small">{signed(gained)} a month</span>}
      {expected && expected.change !== null && (
        <span className="faint small">
          expected {movedWords(expected.change)}
          {expected.money !== null && `, ${signed(expected.money)}`}
        </span>
      )}
    </span>
  );
}
