import { Interval } from '../../../charts';
import type { Moved } from '../../../core/effect';
import { movedWords } from './effectWords';

interface MovedCellProps {
  moved: Moved | null;
  isMoreGood: boolean;
  name: string;
}

/** A measured change: figure, interval, and the interval drawn. */
export function MovedCell({ moved, isMoreGood, name }: MovedCellProps) {
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
    </span>
  );
}
