import { useQuery } from '@tanstack/react-query';
import type { Remote } from 'comlink';
import { memo } from 'react';
import { DayStrip, RateCurve } from '../../../charts';
import type { AccountInfo } from '../../../contract/api';
import { PRIOR_ORDERS } from '../../../core/evidence';
import { lensNamed, sumsAt } from '../../../core/lenses';
import { addDays, formatCount, formatShare } from '../../../core/units';
import { api } from '../../shared/api';
import { WindowsTable } from '../../shared/evidence/WindowsTable';
import { idsOf, subjectOf } from '../rows/rowRequest';
import type { FieldState } from '../useFieldState';
import type { FieldEngine } from '../../shared/fieldEngine/fieldEngine';
import type { LoadedLens } from '../../shared/fieldEngine/types';
import { Elsewhere } from './Elsewhere';
import { History } from './History';
import { Money } from './Money';
import { Notes } from './Notes';
import { belowOf } from './below';

interface EvidencePanelProps {
  account: AccountInfo;
  engine: Remote<FieldEngine>;
  loaded: LoadedLens;
  onDrill: FieldState['drill'];
  row: number | null;
  onRow: (row: number) => void;
}

const WIDTH = 308;
const DAYS_ASKED = 120;
const DAYS_SHOWN = 60;

/** Everything known of the focused row. */
export const EvidencePanel = memo(function EvidencePanel(props: EvidencePanelProps) {
  const { row } = props;
  return (
    <aside
      aria-label="Evidence"
      style={{ borderLeft: '1px solid var(--hairline)', padding: '12px 16px', overflow: 'auto' }}
    >
      {row === null ? (
        <p className="faint">Focus a row to see its evidence.</p>
      ) : (
        <Evidence {...props} row={row} />
      )}
    </aside>
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
  return (
    <>
      <h2 className="serif" style={{ margin: 0, fontSize: 17, fontWeight: 500, overflowWrap: 'anywhere' }}>
        {table.name[row]}
      </h2>
      <p className="faint" style={{ margin: '2px 0 6px' }}>
        {[table.kind[row], table.place[row]].filter(Boolean).join(' · ')}
      </p>
      {below.length > 0 && (
        <p style={{ margin: '0 0 8px' }} className="bar">
          {below.map(({ lens, scope }) => (
            <button key={lens} type="button" className="link" onClick={() => onDrill({ lens, scope })}>
              {lensNamed(lens).label} in it
            </button>
          ))}
        </p>
      )}
      <Money table={table} row={row} currency={account.currency} />
      <Conversion table={table} row={row} />
      <h3 style={HEADING}>Day by day, {account.currency} spend; dots are orders</h3>
      {days.error && <p className="over">{days.error.message}</p>}
      {days.data && (
        <>
          <DayStrip
            days={days.data.days}
            from={addDays(last, 1 - DAYS_SHOWN)}
            to={last}
            settledTo={window.to}
            width={WIDTH}
            currency={account.currency}
          />
          <History
            account={account.id}
            table={table}
            row={row}
            from={from}
            stripFrom={addDays(last, 1 - DAYS_SHOWN)}
            stripTo={last}
            width={WIDTH}
          />
          <WindowsTable
            days={days.data.days}
            to={window.to}
            currency={account.currency}
            firstDay={account.firstDay}
          />
        </>
      )}
      <Elsewhere engine={engine} loaded={loaded} row={row} onRow={onRow} />
      <Notes account={account.id} subject={subject} />
    </>
  );
}

/** What its own clicks make of what is usual there. */
function Conversion({ table, row }: { table: LoadedLens['table']; row: number }) {
  const usual = table.usual[row];
  const { clicks, orders, spend, sales } = sumsAt(table.now, row);
  if (clicks === 0) return null;
  const value = orders > 0 ? sales / orders : table.rpc[row] / usual;
  const target = table.targetAcos[row];
  const needed = target > 0 && value > 0 ? spend / clicks / (target * value) : null;
  const rate = PRIOR_ORDERS / usual;
  return (
    <>
      <h3 style={HEADING}>Conversion</h3>
      <RateCurve
        width={WIDTH}
        prior={{ shape: PRIOR_ORDERS, rate }}
        posterior={{ shape: PRIOR_ORDERS + orders, rate: rate + clicks }}
        needed={needed}
      />
      <p className="faint" style={{ margin: '2px 0 0', fontSize: 12 }}>
        Pale: usual here, {formatShare(usual)}; it counts like {Math.round(rate)} clicks. Dark: with its own{' '}
        {formatCount(clicks)} clicks and {formatCount(orders)} orders.
      </p>
    </>
  );
}

const HEADING = { margin: '14px 0 4px', fontSize: 12.5, fontWeight: 650 } as const;
