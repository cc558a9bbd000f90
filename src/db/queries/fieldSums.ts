import type { Db } from '../connection';
import { targetTable } from './targetTable';
import { withRoom } from './withRoom';

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
  /** Of the grain of terms: their ids and first days, joined by commas, and their texts as a JSON list. */
  terms: { id: string; first: string; text: string };
}

/**
 * The sums of a grain's every row over a window and the one that it is compared with, each column printed by PostgreSQL: a million
 * figures taken apart and printed again here would cost more than summing them.
 */
export async function readFieldSums(
  sql: Db,
  accountId: number,
  grain: FieldGrain,
  window: Span,
  before: Span,
): Promise<FieldSums> {
  const { keys } = GRAINS[grain];
  const table =
    grain === 'target' ? await targetTable(sql, accountId, window.from, window.to) : GRAINS[grain].table;
  const ids = keys.map(([column]) => `f.${column}`).join(', ');
  const sums = FIGURES.flatMap(([column]) => [
    `coalesce(sum(f.${column}) filter (where f.day between $2::date and $4::date), 0)::bigint as ${column}`,
    `coalesce(sum(f.${column}) filter (where f.day between $3::date and $5::date), 0)::bigint as ${column}_before`,
  ]);
  const names: [column: string, name: string][] = [
    ...keys,
    ...FIGURES.flatMap(([column, name]): [string, string][] => [
      [column, name],
      [`${column}_before`, `${name}Before`],
    ]),
  ];
  const isKept =
    grain === 'term' ? `(select count(*) from s) <= ${MOST_ROWS} or clicks > 0 or clicks_before > 0` : 'true';
  // The order of the rows is nobody's choice, but it is the same in all columns: they are read in one pass.
  const printed = names.map(
    ([column, name]) => `string_agg(${column}::text, ',') filter (where is_kept) as "${name}"`,
  );
  const texts =
    grain === 'term'
      ? `, (select coalesce(string_agg(w.term_id::text, ','), '') || ' ' ||
                coalesce(string_agg(coalesce(w.first_day - date '1970-01-01', 0)::text, ','), '') || ' ' || coalesce(json_agg(w.text), '[]')::text
           from mowing.term w where w.account_id = $1 and w.term_id in (select k.term_id from k where k.is_kept)) as texts`
      : '';
  const question = `with s as materialized (
       select ${ids}, ${sums.join(', ')} from mowing.${table} f
       where f.account_id = $1 and (f.day between $2::date and $4::date or f.day between $3::date and $5::date) group by ${ids}),
     k as materialized (select *, ${isKept} as is_kept from s)
     select ${printed.join(', ')}, count(*) filter (where not is_kept) as "rows",
       coalesce(sum(impressions) filter (where not is_kept), 0) as "shown" ${texts} from k`;
  const [row] = await withRoom(sql, (tx) =>
    tx.unsafe<[Record<string, string | null> & { rows: number; shown: number; texts?: string }]>(question, [
      accountId,
      window.from,
      before.from,
      window.to,
      before.to,
    ]),
  );
  const texted = row.texts ?? '  []';
  const space = texted.indexOf(' ');
  const next = texted.indexOf(' ', space + 1);
  return {
    columns: Object.fromEntries(names.map(([, name]) => [name, row[name] ?? ''])),
    without: { rows: row.rows, impressions: row.shown },
    terms: { id: texted.slice(0, space), first: texted.slice(space + 1, next), text: texted.slice(next + 1) },
  };
}
