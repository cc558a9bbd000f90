import { measure } from '../../../core/measures';
import type { MeasureKey } from '../../../core/measures';
import { sumsAt } from '../../../core/lenses';
import type { LensTable } from '../../../core/lenses';
import { readWeek, weekWords } from '../../../core/schedules';
import { DASH, formatCount, formatMoney } from '../../../core/units';
import { scheduleStake } from '../../../plans/hours';
import type { Column } from '../../../table';
import { explain } from '../../shared/explain';
import { formatField } from '../../shared/formatValue';
import { decideColumn } from '../campaigns';
import { NameCell } from '../frame/NameCell';
import type { HourWork } from './useHourWork';

interface ColumnContext {
  work: HourWork;
  table: LensTable;
  currency: string;
  isAside: boolean;
}

const FIGURES: readonly MeasureKey[] = ['spend', 'acos'];

/** A week in words; a dash for none. */
const wordsOf = (text: string | undefined) => {
  const week = text === undefined ? null : readWeek(text);
  return week ? weekWords(week) : DASH;
};

/** Columns of the step of hours: a campaign a row, the schedule that it follows and the one that is proposed. */
export function hourColumns({ work, table, currency, isAside }: ColumnContext): Column<number>[] {
  return [
    {
      key: 'term',
      label: 'Campaign',
      width: 'minmax(140px, 1fr)',
      sortable: true,
      cell: (row) => (
        <NameCell
          name={table.name[row]}
          marks={work.rowOf(row)?.isFirst ? <span className="faint small">try first </span> : null}
          place={table.place[row]}
        />
      ),
    },
    ...FIGURES.map((key): Column<number> => {
      const spec = measure(key);
      return {
        key,
        label: spec.label,
        unit: spec.unit === 'money' ? currency : '',
        width: '58px',
        isFigure: true,
        sortable: true,
        definition: explain(spec, currency),
        cell: (row) => formatField(key, spec.of(sumsAt(table.now, row))),
      };
    }),
    {
      key: 'hourOrders',
      label: 'Orders',
      definition: 'Orders that its hours are known by, of the last twelve settled weeks',
      width: '48px',
      isFigure: true,
      cell: (row) => formatCount(work.rowOf(row)?.orders ?? 0),
    },
    {
      key: 'followed',
      label: 'Follows',
      definition: 'The schedule that it follows now',
      width: '84px',
      cell: (row) => {
        const running = work.rowOf(row)?.running;
        return <span title={wordsOf(running?.week)}>{running?.name ?? DASH}</span>;
      },
    },
    {
      key: 'proposed',
      label: 'To follow',
      definition: 'The week that is proposed for it',
      width: '112px',
      cell: (row) => {
        const one = work.rowOf(row);
        return one && one.left === null ? <span title={wordsOf(one.week)}>{one.name}</span> : DASH;
      },
    },
    {
      key: 'stake',
      label: 'To gain',
      definition: 'Sales of a month that the schedule wins at the same ACOS',
      unit: currency,
      width: '60px',
      isFigure: true,
      sortable: true,
      cell: (row) => {
        const one = work.rowOf(row);
        return one && one.left === null ? formatMoney(scheduleStake(one)) : DASH;
      },
    },
    decideColumn({ work: work, table, isAside: isAside, isOpen: (row) => work.rowOf(row)?.left === null }),
  ];
}
