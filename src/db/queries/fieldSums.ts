import type { Query } from '../connection';

/** What rows are summed by: a target; a search term as one target caught it; a placement of a campaign. */
export type FieldGrain = 'target' | 'term' | 'placement';

/** Where a grain's figures are, and what tells its rows apart; the names are those of the answer's columns. */
const GRAINS: Record<FieldGrain, { table: string; keys: [column: string, name: string][] }> = {
  target: { table: 'target_day', keys: [['target_id', 'targetId']] },
  term: {
    table: 'term_day',
    keys: [
      ['target_id', 'targetId'],
      ['term_id', 'termId'],
    ],
  },
  placement: {
    table: 'placement_day',
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

/** More rows than this are cut to those with clicks: no one reads half a million terms that were only shown. */
const MOST_ROWS = 150_000;

/** A window of days, both ends counted. */
interface Span {
  from: string;
  to: string;
}

export interface FieldSums {
  /** Column name -> its numbers, joined by commas; all columns are equally long. Money in micros. */
  columns: Record<string, string>;
  /** Rows without a click that were left out because there are too many, and their impressions. */
  without: { rows: number; impressions: number };
}

/**
 * The sums of a grain's every row over a window and the one before it, each column printed by PostgreSQL: a million
 * figures taken apart and printed again here would cost more than summing them.
 */
export async function readFieldSums(
  sql: Query,
  accountId: number,
  grain: FieldGrain,
  window: Span,
  before: Span,
): Promise<FieldSums> {
  const { keys } = GRAINS[grain];
  const table = await tableOf(sql, accountId, grain, before.from, window.to);
  const ids = keys.map(([column]) => `f.${column}`).join(', ');
  const sums = FIGURES.flatMap(([column]) => [
    `coalesce(sum(f.${column}) filter (where f.day >= $2::date), 0)::bigint as ${column}`,
    `coalesce(sum(f.${column}) filter (where f.day < $2::date), 0)::bigint as ${column}_before`,
  ]);
  const names: [column: string, name: string][] = [
    ...keys,
    ...FIGURES.flatMap(([column, name]): [string, string][] => [
      [column, name],
      [`${column}_before`, `${name}Before`],
    ]),
  ];
  const isCut =
    grain === 'term' ? `(select count(*) from s) <= ${MOST_ROWS} or clicks > 0 or clicks_before > 0` : 'true';
  // The order of the rows is nobody's choice, but it is the same in all columns: they are read in one pass.
  const printed = names.map(
    ([column, name]) => `string_agg(${column}::text, ',') filter (where is_kept) as "${name}"`,
  );
  const [row] = (await sql.unsafe(
    `with s as (
       select ${ids}, ${sums.join(', ')} from mowing.${table} f
       where f.account_id = $1 and f.day between $3::date and $4::date group by ${ids})
     select ${printed.join(', ')}, count(*) filter (where not is_kept) as "rows",
       coalesce(sum(impressions) filter (where not is_kept), 0) as "shown"
     from (select *, ${isCut} as is_kept from s) k`,
    [accountId, window.from, before.from, window.to],
  )) as unknown as [Record<string, string | null> & { rows: number; shown: number }];
  return {
    columns: Object.fromEntries(names.map(([, name]) => [name, row[name] ?? ''])),
    without: { rows: row.rows, impressions: row.shown },
  };
}

/** Accounts that are fed search-term reports alone have no rows by target: their terms are summed instead. */
async function tableOf(sql: Query, accountId: number, grain: FieldGrain, from: string, to: string) {
  if (grain !== 'target') return GRAINS[grain].table;
  const rows = await sql`
    select 1 from mowing.target_day where account_id = ${accountId} and day between ${from} and ${to} limit 1`;
  return rows.length > 0 ? 'target_day' : 'term_day';
}

/** The texts of all search terms that have days in a span, as JSON, with their ids joined by commas. */
export async function readFieldTerms(sql: Query, accountId: number, from: string, to: string) {
  const [row] = await sql<{ id: string; text: string }[]>`
    select coalesce(string_agg(term_id::text, ','), '') as id, coalesce(json_agg(text), '[]')::text as text
    from mowing.term w where account_id = ${accountId}
      and exists (select from mowing.term_day f where f.account_id = ${accountId} and f.day between ${from} and ${to} and f.term_id = w.term_id)`;
  return row;
}
