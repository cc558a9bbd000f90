import { formatCount } from '../../core/units';
import type { BaleInfo } from '../../contract/changes';
import { formatTime } from '../shared/formatTime';
import type { LedgerState } from './useLedger';

/** What became of a bale, in words. */
function outcome({ changes, accepted, refused, state }: BaleInfo): string {
  if (state === 'sending') return `${formatCount(changes - accepted - refused)} without an answer yet`;
  return refused === 0
    ? `all ${formatCount(accepted)} accepted`
    : `${formatCount(accepted)} accepted, ${formatCount(refused)} refused`;
}

export function BaleList({ ledger }: { ledger: LedgerState }) {
  return (
    <nav
      aria-label="Bales"
      style={{ borderRight: '1px solid var(--hairline)', overflow: 'auto', padding: '14px 0' }}
    >
      <h1 className="serif" style={{ margin: '0 16px 10px', fontSize: 18, fontWeight: 500 }}>
        Ledger
      </h1>
      {ledger.bales.length > 0 && (
        <button
          type="button"
          aria-current={ledger.isWorkedOpen ? 'true' : undefined}
          onClick={ledger.showWorked}
          className="entry"
          title="w"
        >
          Which changes worked
        </button>
      )}
      {ledger.bales.map((bale) => (
        <button
          key={bale.id}
          type="button"
          aria-current={!ledger.isWorkedOpen && bale.id === ledger.bale?.id ? 'true' : undefined}
          onClick={() => ledger.choose(bale.id)}
          className="entry"
        >
          <span style={{ display: 'flex', justifyContent: 'space-between' }}>
            <strong>Bale {bale.id}</strong>
            <span className="faint">{formatTime(bale.sentAt)}</span>
          </span>
          <span className={bale.refused > 0 || bale.state === 'sending' ? 'over' : 'faint'}>
            {bale.refused > 0 ? '▲ ' : ''}
            {outcome(bale)}
          </span>
        </button>
      ))}
    </nav>
  );
}
