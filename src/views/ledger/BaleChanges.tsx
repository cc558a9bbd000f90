import Box from '@mui/material/Box';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { describeChange, setValueOf, sumExpected } from '../../core/changes';
import type { Moved } from '../../core/effect';
import type { EffectInfo } from '../../contract/effects';
import { formatCount, formatDay, formatMoney } from '../../core/units';
import type { AccountInfo } from '../../contract/api';
import type { BaleInfo, ChangeInfo } from '../../contract/changes';
import { formatTime } from '../shared/formatTime';
import type { TrayState } from '../shared/tray/useTray';
import { BaleEffect } from './effects/BaleEffect';
import { howMeasured, movedWords, VERDICTS } from './effects/effectWords';
import { stageAgain } from '../shared/tray/stageAgain';
import { NOBODY } from '../../contract/people';
import { SettleBale } from './SettleBale';
import type { AnswerFilter, LedgerState } from './useLedger';
import { Facts } from '../shared/kit';

interface BaleChangesProps {
  bale: BaleInfo;
  ledger: LedgerState;
  tray: TrayState;
  account: AccountInfo;
}

/** The changes of one bale with the market's answers; refused ones first, since they ask for something. */
export function BaleChanges({ bale, ledger, tray, account }: BaleChangesProps) {
  const undoable = ledger.changes.filter((one) => one.undoable).map(({ id }) => id);
  const refused = ledger.all.filter(({ state }) => state === 'refused');
  const effects = new Map(ledger.effects?.changes.map(({ id, effect }) => [id, effect]));
  const expected = sumExpected(
    ledger.all.filter(({ state }) => state === 'accepted').map(({ effect }) => effect),
  );
  const answers = ANSWERS[bale.carriedOn === null ? 'sent' : 'byHand'];
  const order = [...ledger.changes].sort(
    (a, b) => Number(b.state === 'refused') - Number(a.state === 'refused') || a.id - b.id,
  );
  return (
    <>
      <h2 className="pageTitle">
        Bale {bale.id},{' '}
        {bale.carriedOn === null
          ? `sent ${formatTime(bale.sentAt)}`
          : `carried out by hand on ${formatDay(bale.carriedOn)}`}
        {bale.by !== NOBODY && <span className="faint small"> · by {bale.by}</span>}
        {bale.carriedOn === null && bale.marketDay !== null && (
          <span className="faint small"> · on the market’s {formatDay(bale.marketDay)}</span>
        )}
      </h2>
      <p className="line">
        {formatCount(bale.changes)} {bale.changes === 1 ? 'change' : 'changes'}: {formatCount(bale.accepted)}{' '}
        {answers.accepted}, {formatCount(bale.refused)} {answers.refused}
        {bale.state !== 'done' &&
          `, ${formatCount(bale.changes - bale.accepted - bale.refused)} ${answers.sending}`}
        .
      </p>
      {bale.state === 'awaiting' && <SettleBale ledger={ledger} bale={bale} account={account} />}
      {bale.trouble !== '' && (
        <Box
          component="p"
          role="alert"
          className="over"
          sx={{ border: '1px solid var(--over)', padding: '8px 12px', borderRadius: '3px' }}
        >
          {bale.trouble} Tried {bale.tries} {bale.tries === 1 ? 'time' : 'times'}.{' '}
          <Button
            data-may="send"
            disabled={ledger.retry.isPending}
            onClick={() => ledger.retry.mutate(bale.id)}
          >
            Try again now
          </Button>
        </Box>
      )}
      {ledger.effects && (
        <BaleEffect effects={ledger.effects} expected={expected} currency={account.currency} />
      )}
      <div className="bar">
        <ToggleButtonGroup
          size="small"
          exclusive
          value={ledger.filter}
          onChange={(_, next: AnswerFilter | null) => next && ledger.setFilter(next)}
          aria-label="Answers shown"
        >
          {(['all', 'accepted', 'refused', 'sending'] as const).map((filter) => (
            <ToggleButton key={filter} value={filter} sx={{ padding: '1px 8px', textTransform: 'none' }}>
              {filter === 'all' ? 'all' : answers[filter]}{' '}
              {formatCount(ledger.all.filter(({ state }) => filter === 'all' || state === filter).length)}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        <span className="room" />
        <Button href={`/api/changes/file?account=${account.id}&format=csv&bale=${bale.id}`}>CSV</Button>
        <Button href={`/api/changes/file?account=${account.id}&format=xlsx&bale=${bale.id}`}>XLSX</Button>
        <Button href={`/api/changes/file?account=${account.id}&format=json&bale=${bale.id}`}>JSON</Button>
        {refused.length > 0 && (
          <Button data-may="decide" onClick={() => tray.stage.mutate(stageAgain(refused))}>
            Stage {refused.length === 1 ? 'the refused one' : `the ${formatCount(refused.length)} refused`}{' '}
            again
          </Button>
        )}
        {undoable.length > 0 && (
          <Button data-may="decide" variant="outlined" onClick={() => ledger.undo.undo(undoable)}>
            Undo {formatCount(undoable.length)}
          </Button>
        )}
      </div>
      <Facts>
        <TableHead>
          <TableRow>
            <TableCell sx={{ width: 90 }}>Answer</TableCell>
            <TableCell>Change</TableCell>
            <TableCell>Campaign › ad group</TableCell>
            <TableCell className="figure">Set to {account.currency}</TableCell>
            <TableCell className="figure">Spend since</TableCell>
            <TableCell className="figure">Sales since</TableCell>
            <TableCell>Why</TableCell>
            <TableCell />
          </TableRow>
        </TableHead>
        <TableBody>
          {order.map((one) => (
            <ChangeRow
              key={one.id}
              one={one}
              answers={answers}
              ledger={ledger}
              effect={effects.get(one.id)}
            />
          ))}
        </TableBody>
      </Facts>
      {ledger.changes.length === 0 && <p className="faint">No change in this bale has that answer.</p>}
    </>
  );
}

type Answers = Record<ChangeInfo['state'], string>;
/** What an answer is called: the market's, or what an import bears out. */
const ANSWERS: Record<'sent' | 'byHand', Answers> = {
  sent: {
    accepted: 'accepted',
    refused: 'refused',
    sending: 'without an answer yet',
    staged: 'staged',
    withdrawn: 'withdrawn',
  },
  byHand: {
    accepted: 'carried out',
    refused: 'not carried out',
    sending: 'open',
    staged: 'staged',
    withdrawn: 'withdrawn',
  },
};
const SIGNS: Answers = { accepted: '● ', refused: '▲ ', sending: '○ ', staged: '', withdrawn: '' };

interface ChangeRowProps {
  one: ChangeInfo;
  answers: Answers;
  ledger: LedgerState;
  effect: EffectInfo | undefined;
}

function ChangeRow({ one, answers, ledger, effect }: ChangeRowProps) {
  const value = setValueOf(one.change);
  return (
    <TableRow>
      <TableCell
        title={one.answeredAt ? `Answered ${formatTime(one.answeredAt)}` : undefined}
        className={one.state === 'refused' ? 'over' : one.state === 'accepted' ? 'under' : 'faint'}
      >
        {SIGNS[one.state]}
        {answers[one.state]}
      </TableCell>
      <TableCell>
        {describeChange(one.change)}
        {one.subject ? ` “${one.subject}”` : ''}
        {one.answer && <div className="over">{one.answer}</div>}
      </TableCell>
      <TableCell>
        {one.campaign} › {one.adGroup ?? 'whole campaign'}
      </TableCell>
      <TableCell className="figure">{value?.unit === 'money' ? formatMoney(value.to) : ''}</TableCell>
      <TableCell className="figure">
        <Since moved={effect?.spend ?? null} effect={effect} />
      </TableCell>
      <TableCell className="figure">
        <Since moved={effect?.sales ?? null} effect={effect} />
      </TableCell>
      <TableCell className="faint" sx={{ maxWidth: 380 }}>
        <span className="twoLines" title={one.reason}>
          {one.reason}
        </span>
      </TableCell>
      <TableCell>
        {one.undoable && (
          <Button data-may="decide" onClick={() => ledger.undo.undo([one.id])}>
            Undo
          </Button>
        )}
      </TableCell>
    </TableRow>
  );
}

/** A measured change of one row; hollow while it may as well be chance. */
function Since({ moved, effect }: { moved: Moved | null; effect: EffectInfo | undefined }) {
  if (!effect) return null;
  if (!moved)
    return (
      <span className="faint" title={howMeasured(effect)}>
        {effect.measured > 0 ? '–' : VERDICTS[effect.verdict === 'summed' ? 'summed' : 'too early']}
      </span>
    );
  const { change, low, high } = moved;
  const isSure = low > 0 || high < 0;
  return (
    <Box
      component="span"
      className={isSure ? '' : 'faint'}
      sx={{ whiteSpace: 'nowrap' }}
      title={`80 % interval ${movedWords(low)} to ${movedWords(high)}. ${howMeasured(effect)}`}
    >
      {isSure ? '●' : '○'} {movedWords(change)}
    </Box>
  );
}
