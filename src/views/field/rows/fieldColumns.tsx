import type { ColumnsOf } from './columnsOf';
import { NUMBER_FIELDS, numberField, OF_PRODUCTS } from '../../../core/conditions';
import type { NumberKey } from '../../../core/conditions';
import { lensNamed, STATES } from '../../../core/lenses';
import type { LensTable } from '../../../core/lenses';
import { measure } from '../../../core/measures';
import type { MeasureKey } from '../../../core/measures';
import type { Column } from '../../../table';
import { formatField } from '../../shared/formatValue';
import { widthOf } from './defaultColumns';
import { explain } from '../../shared/explain';
import { EvidenceMark, StandingMark } from '../../shared/evidence/marks';
import { RowSpark } from './RowSpark';
import { ValueCell } from './ValueCell';

const VALUE_LABELS: Record<string, [label: string, definition: string]> = {
  budget: ['Budget', 'What a campaign may spend: a day, or in its lifetime.'],
  modifier: ['Modifier', 'By how much bids are raised at this placement.'],
  price: ['Price', 'Price of the product.'],
};

/** Every column a lens's rows can have. A row is its number in the table. */
export function fieldColumns(of: ColumnsOf): Column<number>[] {
  const { table } = of;
  const lens = lensNamed(table.lens);
  const others: Column<number>[] = [
    {
      key: 'standing',
      label: '',
      width: widthOf('standing'),
      sortable: false,
      definition: 'How it stands to its target ACOS, by the 80 % interval of its sales per click.',
      cell: (row) => <StandingMark standing={table.standing[row]} />,
    },
    {
      key: 'name',
      label: lens.row[0].toUpperCase() + lens.row.slice(1),
      width: widthOf('name'),
      grows: 3,
      sortable: true,
      cell: (row) => (
        <span title={table.name[row]} className="strong">
          {table.name[row]}
          {isOff(table, row) && <span className="faint"> · {stateOf(table, row)}</span>}
        </span>
      ),
    },
    {
      key: 'place',
      label: lens.placeLabel,
      width: widthOf('place'),
      grows: 2,
      sortable: true,
      cell: (row) => (
        <span className="faint" title={table.place[row]}>
          {table.place[row]}
        </span>
      ),
    },
    {
      key: 'kind',
      label: 'Kind',
      width: widthOf('kind'),
      sortable: true,
      definition:
        'Match type, or what kind of target it is; for search terms, of the target that caught them.',
      cell: (row) => <span title={table.kind[row]}>{table.kind[row]}</span>,
    },
    ...(lens.entity === 'term' ? termColumns(of) : []),
    {
      key: 'state',
      label: 'State',
      width: widthOf('state'),
      sortable: true,
      cell: (row) => stateOf(table, row),
    },
    {
      key: 'evidence',
      label: 'Evidence',
      width: widthOf('evidence'),
      sortable: true,
      definition: 'How sure the estimated conversion is: by the width of its 80 % interval.',
      cell: (row) => <EvidenceMark grade={table.grade[row]} />,
    },
    {
      key: 'trend',
      label: 'Trend',
      width: widthOf('trend'),
      definition: 'Spend by week over the last 12 weeks, each row on its own scale.',
      cell: (row) => <RowSpark sparks={of.sparks} row={row} />,
    },
  ];
  const isProduct = lensNamed(of.table.lens).entity === 'product';
  const fields = NUMBER_FIELDS.filter(({ key }) => isProduct || !OF_PRODUCTS.has(key));
  return [...others, ...fields.map(({ key }) => numberColumn(of, key))];
}

/** What is told of search terms alone. */
const termColumns = ({ table, reader }: ColumnsOf): Column<number>[] => [
  {
    key: 'termKind',
    label: 'Term kind',
    width: widthOf('termKind'),
    sortable: true,
    definition:
      'Words, an item code, or a word of the lists under Setup: own brand, rival brand, never wanted.',
    cell: (row) => <span title={table.termKind[row]}>{table.termKind[row]}</span>,
  },
  {
    key: 'seen',
    label: 'First seen',
    width: widthOf('seen'),
    sortable: true,
    definition: 'Whether the account saw the term for the first time in this window.',
    cell: reader.choice('seen'),
  },
];

function numberColumn(of: ColumnsOf, key: NumberKey): Column<number> {
  const { table, reader } = of;
  const field = numberField(key);
  const read = reader.number(key);
  const value = lensNamed(table.lens).value;
  const [label, definition] = (key === 'bid' && VALUE_LABELS[value]) || [field.label, field.definition];
  return {
    key,
    label,
    unit: field.unit === 'money' ? of.currency : field.unit === 'factor' ? '×' : undefined,
    width: widthOf(key),
    isFigure: true,
    sortable: true,
    definition: explain({ key, definition, unit: field.unit }, of.currency),
    cell:
      key === 'bid'
        ? (row) => <ValueCell row={row} {...of} />
        : (row) => <span title={whyNone(key, read(row), table)}>{formatField(key, read(row))}</span>,
  };
}

/** Why a figure is a dash. */
function whyNone(key: NumberKey, value: number | null, table: LensTable): string | undefined {
  if (value !== null) return undefined;
  if (key.startsWith('d.') && !table.isBeforeCovered) return 'The data do not cover the window before';
  if (key === 'age') return 'Not changed here yet';
  if (key === 'targetAcos' || key === 'vsTarget' || key === 'loss')
    return 'No sales, or no target: costs may be missing';
  if (OF_PRODUCTS.has(key)) return whyNoTotal(key, table);
  if (key === 'breakEvenLoss' || key === 'profit') return 'The product’s costs are not known';
  const name = key.startsWith('d.') ? key.slice(2) : key;
  return `No value: ${measure(name as MeasureKey).definition} The lower part is zero${key.startsWith('d.') ? ' in one of the windows' : ''}.`;
}

const isOff = (table: LensTable, row: number) => table.state[row] !== 0 || table.isStoppedAbove[row] === 1;

function stateOf(table: LensTable, row: number): string {
  if (table.state[row] !== 0) return STATES[table.state[row]];
  return table.isStoppedAbove[row] === 1 ? 'held' : 'enabled';
}

/** Of all sales: they are not known, or ads are credited with more. */
const whyNoTotal = (key: NumberKey, { totalSales }: LensTable): string =>
  key === 'organicSales' && totalSales.some((sales) => !Number.isNaN(sales))
    ? 'Ads are credited with more than this product sold in all: orders of other products that followed its clicks count as ad sales'
    : 'All sales are not known of every day of this window: import the report of all sales under Setup';
