import { formatCount, formatDay } from '../../core/units';
import type { BaleInfo } from '../../contract/changes';
import { formatTime } from '../shared/formatTime';
import { PartList } from '../shared/kit';
import type { PartEntry } from '../shared/kit';
import { LEDGER_VIEWS } from './useLedger';
import type { LedgerState } from './useLedger';
import { WORKED_TITLE } from './effects/title';

/** What became of a bale, in words. */
function outcome({ changes, accepted, refused, state, carriedOn }: BaleInfo): string {
  if (state === 'awaiting')
    return `${formatCount(accepted)} confirmed, ${formatCount(changes - accepted - refused)} open`;
  if (carriedOn !== null)
    return refused === 0
      ? `all ${formatCount(accepted)} carried out`
      : `${formatCount(accepted)} carried out, ${formatCount(refused)} not`;
  if (state === 'sending') return `${formatCount(changes - accepted - refused)} without an answer yet`;
  return refused === 0
    ? `all ${formatCount(accepted)} accepted`
    : `${formatCount(accepted)} accepted, ${formatCount(refused)} refused`;
}

const WORKED: PartEntry = { key: 'worked', label: WORKED_TITLE, keys: 'w' };
const REPORTS: PartEntry = {
  key: 'reports',
  label: 'Reports',
  does: 'For paper, or for somebody else',
  keys: 'p',
};

const entryOf = (bale: BaleInfo): PartEntry => ({
  key: bale.id,
  label: (
    <span className="spread">
      <strong>Bale {bale.id}</strong>
      <span className="faint">
        {bale.carriedOn === null ? formatTime(bale.sentAt) : `by hand, ${formatDay(bale.carriedOn)}`}
      </span>
    </span>
  ),
  does: (
    <span className={bale.refused > 0 || bale.state !== 'done' ? 'over' : undefined}>
      {bale.refused > 0 ? '▲ ' : ''}
      {outcome(bale)}
    </span>
  ),
});

/** What was sent, the newest first. */
export function BaleList({ ledger }: { ledger: LedgerState }) {
  const { bales, bale, view } = ledger;
  return (
    <PartList
      title="Ledger"
      label="Bales"
      entries={bales.length > 0 ? [REPORTS, WORKED, ...bales.map(entryOf)] : [REPORTS]}
      current={view ?? bale?.id}
      onChoose={(key) => {
        const chosen = LEDGER_VIEWS.find((one) => one === key);
        if (chosen) ledger.show(chosen);
        else ledger.choose(Number(key));
      }}
    />
  );
}
