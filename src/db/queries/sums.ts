import { placementWords } from './placementWords';
import type { Query } from '../connection';
import { targetTable } from './targetTable';

/** What sums are grouped by. */
export const GRAINS = [
  'account',
  'day',
  'line',
  'product',
  'campaign',
  'ad-group',
  'target',
  'term',
  'placement',
  'hour',
] as const;
export type Grain = (typeof GRAINS)[number];

/** What sums are limited to. */
export interface Scope {
  kind: 'line' | 'product' | 'campaign' | 'ad-group';
  id: number;
}

/** What is asked for. Days are counted at both ends. */
export interface SumsQuestion {
  accountId: number;
  grain: Grain;
  scope: Scope | null;
  from: string;
  to: string;
  /** The window it is compared with; null for none. */
  before: { from: string; to: string } | null;
  /** Share of its final orders that is visible, for days that are not final: their orders and sales are completed by it. */
  completion: { day: string; share: number }[];
}

/** Sums of a group; money stays text, since an account's years of sales may exceed what a number holds exactly. */
export interface SumsRow {
  rows: number;
  impressions: number;
  clicks: number;
  spend: string;
  orders: number;
  units: number;
  sales: string;
  /** All sales, with ads or without; where the grain knows them and the market told them. */
  totalSales?: string | null;
}

/** A group: what names it, its sums, and those of the window it is compared with. */
export interface SumsGroup extends SumsRow {
  id: number | null;
  name: string;
  before: SumsRow | null;
}

interface Source {
  table: string;
  /** The columns of a row that joins and groups need. */
  joins: typeof structure;
}

const structure = (sql: Query, accountId: number) => sql`
  join mowing.target t on t.account_id = ${accountId} and t.target_id = f.target_id
  join mowing.ad_group g on g.account_id = ${accountId} and g.ad_group_id = t.ad_group_id
  join mowing.campaign c on c.account_id = ${accountId} and c.campaign_id = g.campaign_id
  left join mowing.product p on p.account_id = ${accountId} and p.product_id = g.product_id
  left join mowing.product_line l on l.account_id = ${accountId} and l.line_id = p.line_id`;

/** Campaigns that advertise products of one line and one product, for reports by campaign. */
const campaigns = (sql: Query, accountId: number) => sql`
  join mowing.campaign c on c.account_id = ${accountId} and c.campaign_id = f.campaign_id
  left join lateral (
    select min(g.ad_group_id) as ad_group_id, case when count(distinct g.product_id) = 1 then min(g.product_id) end as product_id
    from mowing.ad_group g where g.account_id = ${accountId} and g.campaign_id = c.campaign_id
  ) g on true
  left join mowing.product p on p.account_id = ${accountId} and p.product_id = g.product_id
  left join mowing.product_line l on l.account_id = ${accountId} and l.line_id = p.line_id`;

/** Of each grain: what its groups are told apart by, and called. */
const GROUPS: Record<Grain, { id: string; name: string }> = {
  account: { id: 'null::integer', name: `''` },
  day: { id: 'null::integer', name: 'f.day::text' },
  line: { id: 'l.line_id', name: `coalesce(l.name, '')` },
  product: { id: 'p.product_id', name: `coalesce(p.name, '')` },
  campaign: { id: 'c.campaign_id', name: 'c.name' },
  'ad-group': { id: 'g.ad_group_id', name: `c.name || ' › ' || g.name` },
  target: { id: 't.target_id', name: `coalesce(t.match || ' ', '') || t.expression` },
  term: { id: 'f.term_id', name: 'w.text' },
  placement: { id: 'f.placement', name: placementWords('f.placement') },
  hour: { id: 'f.hour', name: 'f.hour::text' },
};

const SCOPES: Record<Scope['kind'], string> = {
  line: 'l.line_id',
  product: 'p.product_id',
  campaign: 'c.campaign_id',
  'ad-group': 'g.ad_group_id',
};

/** The sums of every group, largest spend first: one pass over the days of both windows. */
export async function readSums(sql: Query, question: SumsQuestion): Promise<SumsGroup[]> {
  const { accountId, grain, scope, from, to, before, completion } = question;
  const { table, joins } = await sourceOf(sql, question);
  const { id, name } = GROUPS[grain];
  const first = before !== null && before.from < from ? before.from : from;
  const last = before !== null && before.to > to ? before.to : to;
  const needsJoins = scope !== null || !['account', 'day', 'term', 'hour', 'placement'].includes(grain);
  const words =
    grain === 'term'
      ? sql`join mowing.term w on w.account_id = ${accountId} and w.term_id = f.term_id`
      : sql``;
  const share =
    completion.length === 0
      ? sql``
      : sql`
    left join unnest(${completion.map(({ day }) => day)}::date[], ${completion.map((one) => one.share)}::float8[]) as k(day, share) on k.day = f.day`;
  const rows = await sql<Raw[]>`
    select ${sql.unsafe(id)} as id, ${sql.unsafe(name)} as name, ${sums(sql, 'now', from, to, completion.length > 0)}
      ${before === null ? sql`` : sql`, ${sums(sql, 'before', before.from, before.to, completion.length > 0)}`}
    from ${sql.unsafe(table)} f ${needsJoins ? joins(sql, accountId) : sql``} ${words} ${share}
    where f.account_id = ${accountId} and f.day between ${first} and ${last}
      ${scope === null ? sql`` : sql`and ${sql.unsafe(SCOPES[scope.kind])} = ${scope.id}`}
      ${before === null ? sql`` : sql`and (f.day between ${from} and ${to} or f.day between ${before.from} and ${before.to})`}
    group by 1, 2`;
  const totals = await readTotals(sql, question);
  return rows
    .map((row) => toGroup(row, before !== null, totals))
    .sort((a, b) => Number(BigInt(b.spend) - BigInt(a.spend)) || (a.name < b.name ? -1 : 1));
}

type Raw = { id: number | null; name: string } & Record<string, number | string>;

function toGroup(
  row: Raw,
  hasBefore: boolean,
  totals: Map<string, { now: string; before: string }> | null,
): SumsGroup {
  const total = totals?.get(`${row.id} ${row.name}`);
  const part = (which: 'now' | 'before'): SumsRow => ({
    rows: Number(row[`${which}_rows`]),
    impressions: Number(row[`${which}_impressions`]),
    clicks: Number(row[`${which}_clicks`]),
    spend: String(row[`${which}_spend`]),
    orders: Number(row[`${which}_orders`]),
    units: Number(row[`${which}_units`]),
    sales: String(row[`${which}_sales`]),
    ...(totals === null ? {} : { totalSales: total?.[which] ?? null }),
  });
  return { id: row.id, name: row.name, ...part('now'), before: hasBefore ? part('before') : null };
}

function sums(sql: Query, label: string, from: string, to: string, isCompleted: boolean) {
  const inWindow = sql`filter (where f.day between ${from} and ${to})`;
  const plain = (column: string) => sql`coalesce(sum(f.${sql.unsafe(column)}) ${inWindow}, 0)`;
  const completed = (column: string) =>
    isCompleted
      ? sql`round(coalesce(sum(f.${sql.unsafe(column)} / coalesce(k.share, 1)) ${inWindow}, 0)::numeric)`
      : plain(column);
  const as = (word: string) => sql.unsafe(`${label}_${word}`);
  return sql`
    count(*) ${inWindow} as ${as('rows')}, ${plain('impressions')} as ${as('impressions')}, ${plain('clicks')} as ${as('clicks')},
    ${plain('spend_micros')}::text as ${as('spend')}, ${completed('orders')} as ${as('orders')},
    ${completed('units')} as ${as('units')}, ${completed('sales_micros')}::bigint::text as ${as('sales')}`;
}

/** Where a grain's rows come from. */
async function sourceOf(sql: Query, { accountId, grain, from, to }: SumsQuestion): Promise<Source> {
  if (grain === 'term') return { table: 'mowing.term_day', joins: structure };
  if (grain === 'placement') return { table: 'mowing.placement_day', joins: campaigns };
  if (grain === 'hour') return { table: 'mowing.campaign_hour', joins: campaigns };
  return { table: `mowing.${await targetTable(sql, accountId, from, to)}`, joins: structure };
}

/** Grains for which all sales are known, not only those of ads. */
const WITH_TOTALS = new Set<Grain>(['account', 'day', 'line', 'product']);

async function readTotals(sql: Query, { accountId, grain, scope, from, to, before }: SumsQuestion) {
  if (!WITH_TOTALS.has(grain) || scope?.kind === 'campaign' || scope?.kind === 'ad-group') return null;
  const { id, name } = GROUPS[grain];
  const [first, last] = [before?.from ?? from, before?.to ?? to];
  const rows = await sql<{ id: number | null; name: string; now: string; before: string }[]>`
    select ${sql.unsafe(id)} as id, ${sql.unsafe(name)} as name,
      coalesce(sum(f.sales_micros) filter (where f.day between ${from} and ${to}), 0)::text as now,
      coalesce(sum(f.sales_micros) filter (where f.day between ${first} and ${last}), 0)::text as before
    from mowing.product_day f
    join mowing.product p on p.account_id = ${accountId} and p.product_id = f.product_id
    left join mowing.product_line l on l.account_id = ${accountId} and l.line_id = p.line_id
    where f.account_id = ${accountId} and (f.day between ${from} and ${to} or f.day between ${first} and ${last})
      ${scope === null ? sql`` : sql`and ${sql.unsafe(SCOPES[scope.kind])} = ${scope.id}`}
    group by 1, 2`;
  return new Map(rows.map((row) => [`${row.id} ${row.name}`, row]));
}
