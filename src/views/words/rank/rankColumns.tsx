import { numberField } from '../../../core/conditions';
import type { NumberKey } from '../../../core/conditions';
import { rankValue } from '../../../core/rank';
import type { RankRow } from '../../../core/rank';
import {
  DASH,
  formatCount,
  formatDay,
  formatMoney,
  formatNumber,
  formatShare,
  MICROS_PER_UNIT,
} from '../../../core/units';
import type { Column } from '../../../table';
import { NO_ACOS } from '../../shared/words';
import { rankText } from '../../shared/rank/rankWords';

/** Figures of the list, in the order in which they stand, with their widths. */
const FIGURES: [key: NumberKey, width: number][] = [
  ['rank.now', 48],
  ['rank.before', 54],
  ['rank.change', 56],
  ['rank.searches', 66],
  ['spend', 74],
  ['orders', 54],
  ['sales', 80],
  ['acos', 54],
  ['rank.organic', 90],
  ['rank.adShare', 70],
  ['rank.holds', 76],
  ['rank.gainCost', 90],
  ['rank.gains', 76],
];
/** Figures that stand in files and conditions alone. */
const FURTHER: NumberKey[] = [
  'rank.spendChange',
  'clicks',
  'rank.holdCost',
  'rank.holdPays',
  'rank.gainPays',
];
/** Shorter words for headings; the whole ones stand in their definitions. */
const HEADINGS: Partial<Record<NumberKey, string>> = {
  'rank.before': 'Before',
  'rank.organic': 'Organic',
  'rank.gainCost': 'To gain',
};

/** Columns of the list of ranks. Money in the account's currency, without decimals: most of it is estimated. */
export function rankColumns(currency: string, targetAcos: number, deepest: number): Column<RankRow>[] {
  return [
    {
      key: 'term',
      label: 'Term',
      width: 190,
      grows: 1,
      pinnedAt: 0,
      sortable: true,
      cell: (row) => (
        <span
          className="cut"
          title={`${row.term} — ${row.product}${row.home ? `, home ${row.home.name}` : ', no home'}`}
        >
          <strong>{row.term}</strong> <span className="faint">{row.product}</span>
          {row.isCore && <span className="faint"> · core</span>}
          {row.acceptedUntil !== null && (
            <span className="faint"> · loss accepted until {formatDay(row.acceptedUntil)}</span>
          )}
        </span>
      ),
    },
    ...FIGURES.map(([key, width]): Column<RankRow> => {
      const { label, unit, definition } = numberField(key);
      return {
        key,
        label: HEADINGS[key] ?? label,
        unit: unit === 'money' ? currency : undefined,
        width,
        isFigure: true,
        definition,
        sortable: true,
        cell: (row) => cellOf(key, row, targetAcos, deepest),
      };
    }),
    {
      key: 'place',
      label: 'Home',
      width: 90,
      sortable: true,
      cell: ({ home }) => home?.name ?? <span className="faint">none</span>,
    },
  ];
}

function cellOf(key: NumberKey, row: RankRow, targetAcos: number, deepest: number) {
  if (key === 'rank.now') return <strong>{rankText(row.rank)}</strong>;
  if (key === 'rank.before') return rankText(row.rankBefore);
  const value = rankValue(key, row, deepest);
  if (key === 'acos')
    return (
      <span
        className={value === null || value > targetAcos ? 'over' : 'under'}
        title={value === null ? NO_ACOS : undefined}
      >
        {value === null ? DASH : formatShare(value, 0)}
      </span>
    );
  if (value === null) return DASH;
  const { unit } = numberField(key);
  if (key === 'rank.change')
    return (
      <span className={value > 0.1 ? 'over' : value < -0.1 ? 'under' : undefined}>
        {Math.abs(value) < 0.005 ? '0 %' : `${value > 0 ? '▾' : '▴'} ${formatShare(Math.abs(value), 0)}`}
      </span>
    );
  if (unit === 'share') return formatShare(value, 0);
  return unit === 'money' ? wholeMoney(value) : formatCount(Math.round(value));
}

/** Money that is estimated or a month's: whole units of currency. */
export const wholeMoney = (micros: number | null): string =>
  micros === null
    ? DASH
    : Math.abs(micros) < MICROS_PER_UNIT
      ? formatMoney(micros)
      : formatNumber(micros / MICROS_PER_UNIT, 0);

/** The list as a table for a file: money in units of currency, shares as fractions, every field whole. */
export function rankTable(rows: readonly RankRow[], deepest: number, currency: string, name: string) {
  const keys = [...FIGURES.map(([key]) => key), ...FURTHER];
  return {
    name,
    headings: [
      'Search term',
      'Product',
      'Product line',
      'Core term',
      'Home',
      ...keys.map(
        (key) => `${numberField(key).label}${numberField(key).unit === 'money' ? ` ${currency}` : ''}`,
      ),
    ],
    rows: rows.map((row) => [
      row.term,
      row.product,
      row.line,
      row.isCore ? 'yes' : 'no',
      row.home?.name ?? '',
      ...keys.map((key) => {
        if (key === 'rank.now' && row.rank === 0) return 'beyond the last page';
        if (key === 'rank.before' && row.rankBefore === 0) return 'beyond the last page';
        const value = rankValue(key, row, deepest);
        return value === null
          ? null
          : numberField(key).unit === 'money'
            ? Number((value / MICROS_PER_UNIT).toFixed(2))
            : Number(value.toPrecision(6));
      }),
    ]),
  };
}
