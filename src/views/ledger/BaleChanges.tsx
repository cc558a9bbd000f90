import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { describeChange } from '../../core/changes';
import { formatCount, formatMoney } from '../../core/units';
import type { AccountInfo, BaleInfo, ChangeInfo } from '../../contract/api';
import { formatTime } from '../shared/formatTime';
import type { TrayState } from '../shared/useTray';
import type { AnswerFilter, LedgerState } from './useLedger';

interface BaleChangesProps {
  bale: BaleInfo;
  ledger: LedgerState;
  tray: TrayState;
  account: AccountInfo;
}

/** The changes of one bale with the market's answers; refused ones first, since they ask for something. */
export function BaleChanges({ bale, ledger, account }: BaleChangesProps) {
  const undoable = ledger.changes.filter((one) => one.undoable).map(({ id }) => id);
  const order = [...ledger.changes].sort(
    (a, b) => Number(b.state === 'refused') - Number(a.state === 'refused') || a.id - b.id,
  );
  return (
    <>
      <h2 className="serif" style={{ margin: '0 0 4px', fontSize: 18, fontWeight: 500 }}>
        Bale {bale.id}, sent {formatTime(bale.sentAt)}
      </h2>
      <p style={{ margin: '0 0 10px' }}>
        {formatCount(bale.changes)} {bale.changes === 1 ? 'change' : 'changes'}: {formatCount(bale.accepted)}{' '}
        accepted, {formatCount(bale.refused)} refused
        {bale.state === 'sending' &&
          `, ${formatCount(bale.changes - bale.accepted - bale.refused)} without an answer yet`}
        .
      </p>
      {bale.trouble !== '' && (
        <p
          role="alert"
          className="over"
          style={{ border: '1px solid var(--over)', padding: '8px 12px', borderRadius: 3 }}
        >
          {bale.trouble} Tried {bale.tries} {bale.tries === 1 ? 'time' : 'times'}.{' '}
          <Button disabled={ledger.retry.isPending} onClick={() => ledger.retry.mutate(bale.id)}>
            Try again now
          </Button>
        </p>
      )}
      <div style={{ display: 'flex', gap: 12, alignItems: 'center', marginBottom: 8 }}>
        <ToggleButtonGroup
          size="small"
          exclusive
          value={ledger.filter}
          onChange={(_, next: AnswerFilter | null) => next && ledger.setFilter(next)}
          aria-label="Answers shown"
        >
          {(['all', 'accepted', 'refused', 'sending'] as const).map((filter) => (
            <ToggleButton key={filter} value={filter} sx={{ padding: '1px 8px', textTransform: 'none' }}>
              {filter === 'all' ? 'All' : filter === 'sending' ? 'No answer yet' : filter}{' '}
              {formatCount(ledger.all.filter(({ state }) => filter === 'all' || state === filter).length)}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        <span style={{ flex: 1 }} />
        <Button href={`/api/changes/file?account=${account.id}&format=csv&bale=${bale.id}`}>CSV</Button>
        <Button href={`/api/changes/file?account=${account.id}&format=json&bale=${bale.id}`}>JSON</Button>
        {undoable.length > 0 && (
          <Button variant="outlined" onClick={() => ledger.undo.mutate(undoable)}>
            Undo {formatCount(undoable.length)}
          </Button>
        )}
      </div>
      <table className="plain">
        <thead>
          <tr>
            <th style={{ width: 90 }}>Answer</th>
            <th>Change</th>
            <th>Campaign › ad group</th>
            <th className="figure">Bid {account.currency}</th>
            <th>Why</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {order.map((one) => (
            <ChangeRow key={one.id} one={one} ledger={ledger} />
          ))}
        </tbody>
      </table>
      {ledger.changes.length === 0 && <p className="faint">No change of this bale has that answer.</p>}
    </>
  );
}

const ANSWERS = {
  accepted: '● accepted',
  refused: '▲ refused',
  sending: '○ no answer yet',
  staged: 'staged',
  withdrawn: 'withdrawn',
};

function ChangeRow({ one, ledger }: { one: ChangeInfo; ledger: LedgerState }) {
  return (
    <tr>
      <td className={one.state === 'refused' ? 'over' : one.state === 'accepted' ? 'under' : 'faint'}>
        {ANSWERS[one.state]}
      </td>
      <td>
        {describeChange(one.change)}
        {one.subject ? ` “${one.subject}”` : ''}
        {one.answer && <div className="over">{one.answer}</div>}
      </td>
      <td>
        {one.campaign} › {one.adGroup ?? 'whole campaign'}
      </td>
      <td className="figure">{'bid' in one.change ? formatMoney(one.change.bid) : ''}</td>
      <td className="faint" style={{ maxWidth: 420 }}>
        {one.reason}
      </td>
      <td>{one.undoable && <Button onClick={() => ledger.undo.mutate([one.id])}>Undo</Button>}</td>
    </tr>
  );
}
