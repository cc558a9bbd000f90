import Button from '@mui/material/Button';
import { useState } from 'react';
import type { PlanTerm } from '../../../../core/build';
import { KEYWORD_MATCHES } from '../../../../core/matching';
import type { KeywordMatch } from '../../../../core/matching';
import { VirtualTable } from '../../../../table';
import type { Column } from '../../../../table';
import { BidCell } from '../../../shared/BidCell';
import { hasBids, matchesOf } from '../../../shared/offered';
import { Check, Empty, TextBox } from '../../../shared/kit';
import type { useRows } from '../../../shared/useRows';
import { refusalsAt } from '../lineStates';
import { TakeOut } from '../../TakeOut';
import type { OpenPlan } from '../usePlan';
import type { TermEdits } from './useTermEdits';

interface TermRowsProps {
  open: OpenPlan;
  /** Places in the plan of the terms that are shown. */
  places: Int32Array;
  rows: ReturnType<typeof useRows>;
  edits: TermEdits;
}

interface Row {
  at: number;
  term: PlanTerm;
}

const ROW = 30;

/** The terms of a plan, a row each: its words, the match types with their bids, and what is to be told of it. */
export function TermRows({ open, places, rows, edits }: TermRowsProps) {
  const { account, plan } = open;
  const [editing, setEditing] = useState<string | null>(null);
  const offered = matchesOf(account);
  const columns: Column<Row>[] = [
    {
      key: 'text',
      label: 'Term',
      width: 'minmax(180px, 0.8fr)',
      cell: ({ at, term }) => (
        <TextBox
          className="lineText"
          aria-label={`Term ${at + 1}`}
          isWide
          defaultValue={term.text}
          key={term.text}
          title={term.text}
          isWrong={open.faults.at(`terms.${at}`).some(({ weight }) => weight === 'wrong')}
          onBlur={({ target }) => edits.setText(at, target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Enter') event.currentTarget.blur();
          }}
        />
      ),
    },
    ...offered.map((match) => matchColumn(match)),
    {
      key: 'told',
      label: 'To be told',
      width: 'minmax(240px, 1fr)',
      cell: ({ at, term }) => <Told at={at} term={term} open={open} edits={edits} />,
    },
    {
      key: 'out',
      label: '',
      width: '34px',
      cell: ({ at, term }) => <TakeOut keys="Delete" what={term.text} onClick={() => edits.takeOut([at])} />,
    },
  ];
  function matchColumn(match: KeywordMatch): Column<Row> {
    return {
      key: match,
      label: `${match.charAt(0).toUpperCase()}${match.slice(1)}`,
      unit: hasBids(account) ? account.currency : '',
      width: hasBids(account) ? '104px' : '64px',
      cell: ({ at, term }) => {
        const isOn = term.matches.includes(match);
        const key = `${at} ${match}`;
        return (
          <span className="labelled">
            <Check
              isOn={isOn}
              onChange={() => edits.toggle([at], match)}
              title={`${term.text}: ${match} (${match.charAt(0)})`}
            >
              <span className="sr">{match}</span>
            </Check>
            {isOn && hasBids(account) && (
              <BidCell
                bid={term.bids[match] ?? plan.parts[match].bid}
                step={account.limits.bidStep}
                isEditing={editing === key}
                onEdit={() => setEditing(key)}
                onDone={(bid) => {
                  setEditing(null);
                  if (bid !== null) edits.setBid(at, match, bid);
                }}
              />
            )}
          </span>
        );
      },
    };
  }
  return (
    <VirtualTable
      label="Terms of the plan"
      columns={columns}
      count={places.length}
      rowAt={(index) => ({ at: places[index], term: plan.terms[places[index]] })}
      keyAt={(index) => places[index]}
      rowHeight={ROW}
      focus={rows.focus}
      onFocus={rows.setFocus}
      isSelected={(index) => rows.selection.has(places[index])}
      onSelect={rows.select}
      sorts={[]}
      onSort={() => {}}
      empty={
        <Empty why="Paste them above, or take those that sold, the core list, or what the market suggests.">
          No terms yet.
        </Empty>
      }
    />
  );
}

interface ToldProps {
  at: number;
  term: PlanTerm;
  open: OpenPlan;
  edits: TermEdits;
}

/** What is wrong with a term and how it can be written, what speaks against it, or what the market refused. */
function Told({ at, term, open, edits }: ToldProps) {
  const faults = [
    ...open.faults.at(`terms.${at}`),
    ...KEYWORD_MATCHES.flatMap((match) => open.faults.at(`terms.${at}.${match}`)),
  ];
  const refused = refusalsAt(open, `terms.${at}`);
  const mended = edits.mendedOf(at);
  const words = [
    ...refused.map((answer) => `Refused: ${answer}`),
    ...faults.map(({ sentence }) => sentence),
  ].join(' ');
  const isWrong = refused.length > 0 || faults.some(({ weight }) => weight === 'wrong');
  return (
    <span className={isWrong ? 'over' : 'warning'} title={words}>
      {mended !== undefined && (
        <Button
          variant="link"
          title="Mend it (m)"
          aria-label={mended === '' ? `Take out “${term.text}”` : `Write as “${mended}”`}
          onClick={() => edits.mend([at])}
        >
          {mended === '' ? 'Take it out' : `Write “${mended}”`}
        </Button>
      )}{' '}
      {words}
    </span>
  );
}
