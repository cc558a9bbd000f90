import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { entitiesOf } from '../../../core/changes';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useState } from 'react';
import type { NewChange } from '../../../contract/changes';
import { formatCount, formatMoney, formatShare } from '../../../core/units';
import type { NegativeFinding } from '../../../core/words';
import type { StandingFinding } from '../../../plans/words';
import { Head } from '../Head';
import { api } from '../../shared/api';
import { useWordsAnswer } from '../../shared/askWords/useWordsAnswer';
import type { WordsPartProps } from '../wordsPartProps';
import { Facts } from '../../shared/kit';

const KINDS: Record<NegativeFinding['kind'], string> = {
  'blocks-target': 'Block a live target',
  'blocks-sold': 'Block what sold elsewhere',
  duplicate: 'Stand twice',
  covered: 'Covered by another',
  'blocks-nothing': 'Met no term',
};
const MOST = 300;

/** Negatives that stand and are odd, each with what to do. */
export function StandingPart({ account, tray }: WordsPartProps) {
  const [kind, setKind] = useState<NegativeFinding['kind'] | 'all'>('all');
  const { answer } = useWordsAnswer(account, ['standing'], () => api.standingNegatives(account.id));
  const staged = new Set(tray.changes.flatMap(({ change }) => entitiesOf(change).negative ?? []));
  const all = (answer?.findings ?? []).filter(({ negative }) => !staged.has(negative.id));
  const shown = all.filter((one) => kind === 'all' || one.kind === kind);
  const costly = all.filter((one) => one.kind === 'blocks-sold' || one.kind === 'blocks-target').length;
  const lift = (list: StandingFinding[]) => tray.stage.mutate(list.map(liftOf));
  return (
    <main className="page">
      <Head>
        {!answer
          ? 'Looking through the negatives …'
          : all.length === 0
            ? 'None of the negatives looks odd.'
            : costly > 0
              ? `${formatCount(costly)} ${costly === 1 ? 'negative blocks' : 'negatives block'} what sold elsewhere, or a live target.`
              : `${formatCount(all.length)} ${all.length === 1 ? 'negative does nothing' : 'negatives do nothing'}, or nothing that another does not do.`}
      </Head>
      <div className="bar">
        <ToggleButtonGroup
          size="small"
          exclusive
          value={kind}
          onChange={(_, next: typeof kind | null) => next && setKind(next)}
          aria-label="Findings shown"
        >
          {(['all', ...Object.keys(KINDS)] as (typeof kind)[]).map((one) => (
            <ToggleButton key={one} value={one} sx={{ padding: '1px 8px', textTransform: 'none' }}>
              {one === 'all' ? 'All' : KINDS[one]}{' '}
              {formatCount(all.filter((finding) => one === 'all' || finding.kind === one).length)}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        <span className="room" />
        {kind !== 'all' && kind !== 'blocks-target' && shown.length > 0 && (
          <Button data-may="decide" variant="outlined" onClick={() => lift(shown)}>
            Lift these {formatCount(shown.length)}
          </Button>
        )}
      </div>
      {shown.length > 0 && (
        <Facts aria-label="Negatives">
          <TableHead>
            <TableRow>
              <TableCell>Negative</TableCell>
              <TableCell>Where</TableCell>
              <TableCell>What is odd</TableCell>
              <TableCell className="figure">Orders elsewhere</TableCell>
              <TableCell className="figure">Sales elsewhere {account.currency}</TableCell>
              <TableCell />
            </TableRow>
          </TableHead>
          <TableBody>
            {shown.slice(0, MOST).map((one) => (
              <TableRow key={one.negative.id}>
                <TableCell>
                  <strong>{one.negative.expression}</strong>{' '}
                  <span className="faint">{one.negative.match}</span>
                </TableCell>
                <TableCell>{one.place}</TableCell>
                <TableCell>{oddWords(one)}</TableCell>
                <TableCell className="figure">
                  {one.elsewhere.orders > 0 ? formatCount(one.elsewhere.orders) : ''}
                </TableCell>
                <TableCell className="figure">
                  {one.elsewhere.orders > 0 ? formatMoney(one.elsewhere.sales) : ''}
                </TableCell>
                <TableCell className="figure">
                  <Button
                    data-may="decide"
                    sx={{ padding: 0 }}
                    aria-label={`Lift ${one.negative.expression}`}
                    onClick={() => lift([one])}
                  >
                    Lift
                  </Button>
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Facts>
      )}
      {shown.length > MOST && <p className="faint">and {formatCount(shown.length - MOST)} more</p>}
    </main>
  );
}

function oddWords({ kind, examples, share, by, byPlace }: StandingFinding): string {
  const named = `“${examples.join('”, “')}”`;
  switch (kind) {
    case 'blocks-target':
      return share < 1
        ? `stops ${formatShare(share, 0)} of the clicks of the live target ${named}`
        : `keeps the live target ${named} from showing`;
    case 'blocks-sold':
      return `${named} sold elsewhere and has no home`;
    case 'duplicate':
      return 'stands there twice';
    case 'covered':
      return `“${by?.expression}” (phrase, ${byPlace}) blocks all that it blocks`;
    case 'blocks-nothing':
      return 'it matches no term of the last 90 days';
  }
}

const liftOf = (one: StandingFinding): NewChange => ({
  change: { kind: 'archive-negative', negativeId: one.negative.id },
  reason: `“${one.negative.expression}” ${oddWords(one)}.`.slice(0, 1000),
  figures: { step: 'negatives' },
  effect: { spend: 0, sales: 0 },
});
