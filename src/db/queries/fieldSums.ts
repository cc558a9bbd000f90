import { columnOf } from '../../contract/packed';
import type { Db, Transaction } from '../connection';
import { ALL, clickedOnly, isMoreThan } from './clickedOnly';
import type { Only } from './clickedOnly';
import { addedUp } from './addedUp';
import type { AddedUp, Span } from './addedUp';
import { targetTable } from './targetTable';
import { sumOf } from './sumOf';
import { withRoom } from './withRoom';

/** What rows are summed by: a target; a search term as one target caught it; a placement of a campaign. */
export type FieldGrain = 'target' | 'term' | 'placement';

/** Where a grain's figures are, and what tells its rows apart; the names are those of the answer's columns. */
const GRAINS: Record<FieldGrain, { fact: string; keys: [column: string, name: string][] }> = {
  target: { fact: 'target', keys: [['target_id', 'targetId']] },
  term: {
    fact: 'term',
    keys: [
      ['target_id', 'targetId'],
      ['term_id', 'termId'],
    ],
  },
  placement: {
    fact: 'placement',
    keys: [
      ['campaign_id', 'campaignId'],
      ['placement', 'placement'],
    ],
  },
};

const FIGURES = [
  ['impressions', 'impressions'],
  ['clicks', 'clicks'],
  ['spend_micros', 'spend'],
  ['orders', 'orders'],
  ['units', 'units'],
  ['sales_micros', 'sales'],
] as const;

/** Where more rows than this are to be added up, only terms with a click are: no one reads half a million that were only shown. */
const MOST_ROWS = 500_000;

export interface FieldSums {
  /** By name; all columns are equally long. Money in micros. */
  columns: Record<string, Int32Array | Float64Array>;
  /** Whether terms without a click were left out because there are too many. */
  isCut: boolean;
  /** Of the grain of terms: their ids, first days and texts. */
  terms: { id: Int32Array | Float64Array; first: Int32Array | Float64Array; text: string[] };
}

/** What is printed of rows, by name: a column each. */
const printed = (names: readonly [column: string, name: string][]) =>
  names.map(([column, name]) => `string_agg(${column}::text, ',') as "${name}"`).join(', ');

/** The sums of a grain's every row over a window and the one that it is compared with, as columns. */
export async function readFieldSums(
  sql: Db,
  accountId: number,
  grain: FieldGrain,
  window: Span,
  before: Span,
): Promise<FieldSums> {
  const { keys } = GRAINS[grain];
  const fact =
    grain === 'target'
      ? (await targetTable(sql, accountId, window.from, window.to)).replace('_day', '')
      : GRAINS[grain].fact;
  const ids = keys.map(([column]) => column);
  const source = addedUp(
    {
      table: `${fact}_day`,
      weekTable: `${fact}_week`,
      columns: [...ids, ...FIGURES.map(([column]) => column)],
    },
    { now: window, before },
  );
  return withRoom(sql, async (tx) => {
    const isCut = grain === 'term' && (await isMoreThan(tx, accountId, source, MOST_ROWS));
    const only = isCut ? await clickedOnly(tx, accountId, source) : ALL;
    const [row] = await tx.unsafe<[Record<string, string | null>]>(sumsOf(source, keys, only), [
      accountId,
      ...only.values,
    ]);
    return {
      columns: Object.fromEntries(namesOf(keys).map(([, name]) => [name, columnOf(row[name] ?? '')])),
      isCut,
      terms: grain === 'term' ? await termsOf(tx, accountId, row.termId ?? '') : NO_TERMS,
    };
  });
}

const namesOf = (keys: readonly [string, string][]): [column: string, name: string][] => [
  ...keys,
  ...FIGURES.flatMap(([column, name]): [string, string][] => [
    [column, name],
    [`${column}_before`, `${name}Before`],
  ]),
];

function sumsOf(source: AddedUp, keys: readonly [column: string, name: string][], { where }: Only): string {
  const ids = keys.map(([column]) => `f.${column}`).join(', ');
  const sums = FIGURES.flatMap(([column]) => [
    `coalesce(${sumOf(`f.${column}`)} filter (where ${source.isIn('now', 'f')}), 0) as ${column}`,
    `coalesce(${sumOf(`f.${column}`)} filter (where ${source.isIn('before', 'f')}), 0) as ${column}_before`,
  ]);
  // The order of the rows is nobody's choice, but it is the same in all columns: they are read in one pass.
  return `with s as materialized (select ${ids}, ${sums.join(', ')} from ${source.rows} f where ${where} group by ${ids})
    select ${printed(namesOf(keys))} from s`;
}

const NO_TERMS: FieldSums['terms'] = { id: new Int32Array(0), first: new Int32Array(0), text: [] };

/** Texts of some terms, and the days since 1970 on which they were seen first. @param printedIds joined by commas, any of them often */
async function termsOf(tx: Transaction, accountId: number, printedIds: string): Promise<FieldSums['terms']> {
  if (printedIds === '') return NO_TERMS;
  const [row] = await tx.unsafe<[{ id: string | null; first: string | null; text: string | null }]>(
    `select string_agg(w.term_id::text, ',') as id, string_agg(coalesce(w.first_day - date '1970-01-01', 0)::text, ',') as first,
       json_agg(w.text)::text as text
     from mowing.term w where w.account_id = $1 and w.term_id in (select distinct unnest($2::integer[]))`,
    [accountId, `{${printedIds}}`],
  );
  return {
    id: columnOf(row.id ?? ''),
    first: columnOf(row.first ?? ''),
    text: JSON.parse(row.text ?? '[]') as string[],
  };
}
