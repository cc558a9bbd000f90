import type { EffectInfo } from '../../../contract/effects';
import { signed } from '../../shared/tray/money';

/** What changes earned in a month with its interval, and what was expected. */
export function ProfitCell({ effect: { profit, expected } }: { effect: EffectInfo }) {
  if (!profit) return <span className="faint">–</span>;
  return (
    <span className="measured" title="80 % interval">
      <strong>{signed(profit.perMonth)}</strong>
      <span className="faint small">
        {signed(profit.low)} to {signed(profit.high)}
      </span>
      {expected && expected.profit !== null && (
        <span className="faint small">expected {signed(expected.profit)}</span>
      )}
    </span>
  );
}
