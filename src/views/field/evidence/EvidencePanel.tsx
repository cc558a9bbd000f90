import { EvidenceName } from '../../shared/evidence/EvidenceName';
import { RunsNow } from '../../shared/hours/RunsNow';
import { SidePanel } from '../../shared/kit';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import type { Remote } from 'comlink';
import { memo } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { conversionAt, lensNamed } from '../../../core/lenses';
import { addDays, daysIn } from '../../../core/units';
import { api } from '../../shared/api';
import { Conversion } from '../../shared/evidence/Conversion';
import { DayByDay } from '../../shared/evidence/DayByDay';
import { idsOf, subjectOf } from '../../shared/rowRequest';
import type { FieldState } from '../useFieldState';
import type { FieldEngine } from '../../shared/fieldEngine/fieldEngine';
import type { LoadedLens } from '../../../plans/field';
import { SameElsewhere } from '../../shared/evidence/SameElsewhere';
import { RankLines } from '../../shared/evidence/RankLines';
import { History } from '../../shared/evidence/History';
import { Money } from './Money';
import { RowLoss } from './RowLoss';
import { ScopeTarget } from './ScopeTarget';
import { Notes } from '../../shared/evidence/Notes';
import { belowOf } from './below';
import { FOCUS_A_ROW } from '../../shared/words';

interface EvidencePanelProps {
  account: AccountInfo;
  engine: Remote<FieldEngine>;
  loaded: LoadedLens;
  onDrill: FieldState['drill'];
  row: number | null;
  onRow: (row: number) => void;
}

const DAYS_ASKED = 120;

/** Everything known of the focused row. */
export const EvidencePanel = memo(function EvidencePanel(props: EvidencePanelProps) {
  const { row } = props;
  return (
    <SidePanel label="Evidence">
      {row === null ? <p className="faint">{FOCUS_A_ROW}</p> : <Evidence {...props} row={row} />}
    </SidePanel>
  );
});

function Evidence({ account, engine, loaded, onDrill, row, onRow }: EvidencePanelProps & { row: number }) {
  const { table, window } = loaded;
  const last = window.unsettled.at(-1) ?? window.to;
  const from = addDays(last, 1 - DAYS_ASKED);
  const subject = subjectOf(table, row);
  const days = useQuery({
    queryKey: ['row-days', account.id, subject, from, last],
    queryFn: () => api.rowDays({ account: account.id, ...idsOf(table, [row]), from, to: last }),
    staleTime: 60_000,
  });
  const below = belowOf(table, row);
  const { entity } = lensNamed(table.lens);
  const ranked = entity === 'term' || entity === 'product' ? entity : null;
  return (
    <>
      <EvidenceName
        name={table.name[row]}
        place={[table.kind[row], table.place[row]].filter(Boolean).join(' · ')}
      />
      {table.campaignId[row] > 0 && <RunsNow account={account} campaignId={table.campaignId[row]} />}
      {below.length > 0 && (
        <p className="bar">
          {below.map(({ lens, scope }) => (
            <Button variant="link" key={lens} onClick={() => onDrill({ lens, scope })}>
              {lensNamed(lens).label} in it
            </Button>
          ))}
        </p>
      )}
      <Money
        table={table}
        row={row}
        currency={account.currency}
        days={daysIn(window.from, window.to)}
        guides={account.choices.guides}
      />
      <RowLoss account={account} table={table} row={row} />
      <ScopeTarget key={subject} account={account} table={table} row={row} />
      {table.now.clicks[row] > 0 && <Conversion {...conversionAt(table, row)} />}
      <DayByDay
        account={account}
        last={last}
        settledTo={window.to}
        targetAcos={orNull(table.targetAcos[row])}
        margin={orNull(table.margin[row])}
        asked={days}
        marks={(stripFrom, stripTo, width) => (
          <History
            account={account.id}
            table={table}
            row={row}
            from={from}
            stripFrom={stripFrom}
            stripTo={stripTo}
            width={width}
          />
        )}
      />
      {ranked && table.productId[row] > 0 && (
        <RankLines
          account={account.id}
          product={table.productId[row]}
          term={ranked === 'term' ? table.part[row] : undefined}
        />
      )}
      <SameElsewhere engine={engine} loaded={loaded} row={row} onRow={onRow} />
      <Notes account={account.id} subject={subject} />
    </>
  );
}

const orNull = (value: number) => (Number.isNaN(value) ? null : value);
