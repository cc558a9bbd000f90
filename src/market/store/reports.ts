import type { MarketReportKind } from '../../contract/market';
import type { MarketDb } from './connection';

/** Ranks beyond this are on pages that nobody is told of. */
const RANKS_TOLD = 96;

/** What is asked of a report. */
export interface ReportQuestion {
  account: string;
  kind: MarketReportKind;
  from: string;
  to: string;
  /** Show only the orders that were visible on this day of the market. */
  madeOn: string;
}

/** Columns of each kind of report, in order; amounts of money are decimals. */
export const REPORT_HEADINGS: Record<MarketReportKind, string[]> = {
  terms: [
    'Date',
    'Campaign ID',
    'Campaign',
    'Ad group ID',
    'Ad group',
    'Target ID',
    'Target',
    'Match type',
    'Search term',
    ...adHeadings(),
  ],
  targets: [
    'Date',
    'Campaign ID',
    'Campaign',
    'Ad group ID',
    'Ad group',
    'Target ID',
    'Target',
    'Match type',
    ...adHeadings(),
  ],
  'target-placements': [
    'Date',
    'Campaign ID',
    'Campaign',
    'Ad group ID',
    'Ad group',
    'Target ID',
    'Target',
    'Match type',
    'Placement',
    ...adHeadings(),
  ],
  placements: ['Date', 'Campaign ID', 'Campaign', 'Placement', ...adHeadings()],
  hours: ['Date', 'Hour', 'Campaign ID', 'Campaign', ...adHeadings()],
  sales: [
    'Date',
    'Item code',
    'Product',
    'Orders',
    'Units',
    'Sales',
    'Refunded units',
    'Refunded sales',
    'Currency',
  ],
  ranks: ['Date', 'Item code', 'Product', 'Search term', 'Organic rank', 'Weekly searches'],
};

function adHeadings() {
  return ['Impressions', 'Clicks', 'Spend', 'Orders', 'Units', 'Sales', 'Currency'];
}

const PLACEMENT = `(array['top of search', 'rest of search', 'product pages'])[f.placement + 1]`;

/** The rows of a report, a block at a time, each a list in the order of its headings. */
export function reportRows(sql: MarketDb, question: ReportQuestion): AsyncIterable<unknown[][]> {
  const { account, kind, from, to } = question;
  const span = sql`f.account_id = ${account} and f.day between ${from} and ${to}`;
  const product = sql`
    join quaymarket.product p on p.account_id = f.account_id and p.id = f.product_id
    join quaymarket.account a on a.account_id = f.account_id`;
  if (kind === 'sales')
    return sql`
      select f.day, p.item_code, p.name, f.orders, f.units, ${money(sql, 'f.sales')}, f.refunded_units, ${money(sql, 'f.refunded_sales')}, a.currency
      from quaymarket.product_day f ${product} where ${span} order by f.day, p.id`
      .values()
      .cursor(2000) as AsyncIterable<unknown[][]>;
  if (kind === 'ranks')
    return sql`
      select f.day, p.item_code, p.name, f.term, case when f.rank <= ${RANKS_TOLD} then f.rank end, f.weekly_searches
      from quaymarket.rank_day f ${product} where ${span} order by f.day, p.id, f.term`
      .values()
      .cursor(2000) as AsyncIterable<unknown[][]>;
  return adRows(sql, question);
}

const SOURCES: Record<string, { table: string; keys: string[] }> = {
  terms: { table: 'term_day', keys: ['target_id', 'term'] },
  targets: { table: 'target_day', keys: ['target_id'] },
  'target-placements': { table: 'target_day', keys: ['target_id', 'placement'] },
  placements: { table: 'target_day', keys: ['campaign_id', 'placement'] },
  hours: { table: 'campaign_hour', keys: ['campaign_id', 'hour'] },
};

function adRows(
  sql: MarketDb,
  { account, kind, from, to, madeOn }: ReportQuestion,
): AsyncIterable<unknown[][]> {
  const { table, keys } = SOURCES[kind];
  const grouped = kind === 'targets' || kind === 'placements';
  const byCampaign = keys[0] === 'campaign_id';
  const key = (alias: string) =>
    keys
      .map((column) =>
        column === 'campaign_id' && kind === 'placements' && alias === 'f'
          ? 'g.campaign_id'
          : `${alias}.${column}`,
      )
      .join(', ');
  const places: Record<string, string> = {
    terms: `c.id, c.name, g.id, g.name, t.id, t.expression, coalesce(t.match, t.kind), s.term`,
    targets: `c.id, c.name, g.id, g.name, t.id, t.expression, coalesce(t.match, t.kind)`,
    'target-placements': `c.id, c.name, g.id, g.name, t.id, t.expression, coalesce(t.match, t.kind), ${PLACEMENT.replace('f.', 's.')}`,
    placements: `c.id, c.name, ${PLACEMENT.replace('f.', 's.')}`,
    hours: `s.hour, c.id, c.name`,
  };
  const join = byCampaign
    ? 'join quaymarket.campaign c on c.account_id = s.account_id and c.id = s.campaign_id'
    : `join quaymarket.target t on t.account_id = s.account_id and t.id = s.target_id
       join quaymarket.ad_group g on g.account_id = s.account_id and g.id = t.ad_group_id
       join quaymarket.campaign c on c.account_id = s.account_id and c.id = g.campaign_id`;
  const toCampaign =
    kind === 'placements'
      ? `join quaymarket.target t on t.account_id = f.account_id and t.id = f.target_id
         join quaymarket.ad_group g on g.account_id = f.account_id and g.id = t.ad_group_id`
      : '';
  const sums = grouped
    ? 'sum(f.impressions) as impressions, sum(f.clicks) as clicks, sum(f.spend)::bigint as spend, sum(f.orders) as orders, sum(f.units) as units, sum(f.sales)::bigint as sales'
    : 'f.impressions, f.clicks, f.spend, f.orders, f.units, f.sales';
  const group = grouped ? `group by f.account_id, f.day, ${key('f')}` : '';
  const late = keys.map((column) => `l.${column} = s.${column}`).join(' and ');
  return sql`
    with s as (
      select f.account_id, f.day, ${sql.unsafe(key('f'))}, ${sql.unsafe(sums)}
      from quaymarket.${sql.unsafe(table)} f ${sql.unsafe(toCampaign)}
      where f.account_id = ${account} and f.day between ${from} and ${to} ${sql.unsafe(group)}
    ), l as (
      select day, ${sql.unsafe(keys.join(', '))}, count(*) as orders, sum(units) as units, sum(sales)::bigint as sales
      from quaymarket.late_order
      where account_id = ${account} and day between ${from} and ${to} and arrives >= ${madeOn}
        and arrives < (select today from quaymarket.account where account_id = ${account})
      group by day, ${sql.unsafe(keys.join(', '))}
    )
    select s.day, ${sql.unsafe(places[kind])}, s.impressions, s.clicks, ${money(sql, 's.spend')},
           s.orders - coalesce(l.orders, 0), s.units - coalesce(l.units, 0), ${money(sql, 's.sales - coalesce(l.sales, 0)')}, a.currency
    from s ${sql.unsafe(join)}
    join quaymarket.account a on a.account_id = s.account_id
    left join l on l.day = s.day and ${sql.unsafe(late)}
    order by s.day`
    .values()
    .cursor(2000) as AsyncIterable<unknown[][]>;
}

/** Micros as a decimal of at least two places. */
const money = (sql: MarketDb, expression: string) =>
  sql.unsafe(`trim_scale((${expression})::numeric / 1000000)::text`);
