import type { EffectInfo } from '../../../contract/effects';
import { signed } from '../../shared/tray/money';

/** What changes earned in a month, with its interval. */
export function ProfitCell({ profit }: { profit: EffectInfo['profit'] }) {
  if (!profit) return <span className="faint">–</span>;
  return (
    <span className="measured" title="80 % interval">
      <strong>{signed(profit.perMonth)}</strong>
      <span className="faint small">
        {signed(profit.low)} to {signed(profit.high)}
      </span>
    </span>
  );
}
