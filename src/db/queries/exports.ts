import { FACTS } from '../../contract/facts';
import type { FactSpec, ReportKind } from '../../contract/facts';
import type { ImportKind, TableKind } from '../../contract/reportFields';
import { listSummed } from './summed';
import { placementWords } from './placementWords';
import type { Query } from '../connection';

/** A list that is given out: its headings, and its rows block by block. Money columns come as text with a decimal point. */
export interface ExportRows {
  headings: string[];
  blocks: AsyncIterable<(string | number | null)[][]>;
}

const BLOCK = 2000;
const money = (column: string) => `trim_scale(${column}::numeric / 1000000)::text`;
/** In per cent; empty where it was never told. */
const modifier = (column: string) =>
  `case when c.modifiers_known then trim_scale(round((${column} * 100)::numeric, 4))::text end`;

/** How rows name their place as they leave; an entity that no market has numbered goes out, and comes in again, by its name. */
const PLACES: Record<FactSpec['place'], { headings: string[]; columns: string; joins: string }> = {
  target: {
    headings: ['Campaign ID', 'Campaign', 'Ad group ID', 'Ad group', 'Target ID', 'Target', 'Match type'],
    columns: 'c.market_id, c.name, g.market_id, g.name, t.market_id, t.expression, coalesce(t.match, t.kind)',
    joins: `
      join mowing.target t on t.account_id = f.account_id and t.target_id = f.target_id
      join mowing.ad_group g on g.account_id = f.account_id and g.ad_group_id = t.ad_group_id
      join mowing.campaign c on c.account_id = f.account_id and c.campaign_id = g.campaign_id`,
  },
  campaign: {
    headings: ['Campaign ID', 'Campaign'],
    columns: 'c.market_id, c.name',
    joins: 'join mowing.campaign c on c.account_id = f.account_id and c.campaign_id = f.campaign_id',
  },
  product: {
    headings: ['Item code', 'Product'],
    columns: 'p.item_code, p.name',
    joins: 'join mowing.product p on p.account_id = f.account_id and p.product_id = f.product_id',
  },
};
const DETAILS: Record<NonNullable<FactSpec['detail']>, { heading: string; column: string; joins: string }> = {
  term: {
    heading: 'Search term',
    column: 'w.text',
    joins: 'join mowing.term w on w.account_id = f.account_id and w.term_id = f.term_id',
  },
  placement: { heading: 'Placement', column: placementWords('f.placement'), joins: '' },
  hour: { heading: 'Hour', column: 'f.hour', joins: '' },
};

interface Source {
  headings: string[];
  columns: string;
  from: string;
  order: string;
  /** Whether it is limited by days. */
  byDay: boolean;
}

/** A report by day, as its spec says. */
function byDay(spec: FactSpec, hasSums: boolean): Source {
  const place = PLACES[spec.place];
  const detail = spec.detail === null ? null : DETAILS[spec.detail];
  const figures = spec.figures.map(({ column, unit }) =>
    // Beyond the last page there is no number: the cell is empty, and is read so again.
    unit === 'amount' ? money(`f.${column}`) : unit === 'rank' ? `nullif(f.${column}, 0)` : `f.${column}`,
  );
  const currency = spec.hasMoney;
  return {
    headings: [
      'Date',
      ...(hasSums ? ['End date'] : []),
      ...place.headings,
      ...(detail ? [detail.heading] : []),
      ...spec.figures.map(({ heading }) => heading),
      ...(currency ? ['Currency'] : []),
    ],
    columns: [
      ...(hasSums ? ['coalesce(s.first_day, f.day)', 'coalesce(s.last_day, f.day)'] : ['f.day']),
      place.columns,
      ...(detail ? [detail.column] : []),
      ...figures,
      ...(currency ? ['a.currency'] : []),
    ].join(', '),
    from: `mowing.${spec.table} f ${place.joins} ${detail?.joins ?? ''} join mowing.account a on a.account_id = f.account_id
      ${hasSums ? `left join mowing.summed s on s.account_id = f.account_id and s.kind = '${spec.kind}' and s.stands_on = f.day` : ''}`,
    order: 'f.day',
    byDay: true,
  };
}

const LISTS: Record<TableKind, Source> = {
  entities: {
    headings: [
      'Campaign ID',
      'Campaign',
      'Campaign state',
      'Budget',
      'Budget type',
      'Top of search modifier',
      'Rest of search modifier',
      'Product pages modifier',
      'Ad group ID',
      'Ad group',
      'Ad group state',
      'Default bid',
      'Item code',
      'Target ID',
      'Target',
      'Match type',
      'Bid',
      'State',
      'Currency',
    ],
    columns: `c.market_id, c.name, c.state, ${money('c.budget_micros')}, c.budget_kind, ${modifier('c.top_modifier')}, ${modifier('c.rest_modifier')}, ${modifier('c.pages_modifier')}, g.market_id, g.name, g.state, ${money('g.default_bid_micros')},
      p.item_code, f.market_id, f.expression, coalesce(f.match, f.kind), ${money('f.bid_micros')}, f.state, a.currency`,
    from: `mowing.target f join mowing.ad_group g on g.account_id = f.account_id and g.ad_group_id = f.ad_group_id
      join mowing.campaign c on c.account_id = f.account_id and c.campaign_id = g.campaign_id
      left join mowing.product p on p.account_id = f.account_id and p.product_id = g.product_id
      join mowing.account a on a.account_id = f.account_id`,
    order: 'c.campaign_id, g.ad_group_id, f.target_id',
    byDay: false,
  },
  costs: {
    headings: [
      'Item code',
      'SKU',
      'Product',
      'Price',
      'Cost of goods',
      'Fees',
      'Shipping',
      'Refund rate',
      'Recovered',
      'Currency',
    ],
    columns: `f.item_code, f.sku, f.name, ${money('k.price_micros')}, ${money('k.goods_micros')}, ${money('k.fees_micros')},
      ${money('k.shipping_micros')}, (k.refund_rate * 100)::numeric::text || ' %', ${money('k.recovered_micros')}, a.currency`,
    from: `mowing.product f left join mowing.product_cost k on k.account_id = f.account_id and k.product_id = f.product_id
      join mowing.account a on a.account_id = f.account_id`,
    order: 'f.name, f.product_id',
    byDay: false,
  },
  goals: {
    headings: ['Scope', 'Name', 'Target ACOS', 'Target ACOS up to', 'Profit margin', 'Profit margin up to'],
    columns: `replace(f.scope, '-', ' '), coalesce(l.name, p.name, c.name, gc.name || ' › ' || g.name),
      case when f.kind = 'acos' then (f.low * 100)::numeric::text || ' %' end, case when f.kind = 'acos' then (f.high * 100)::numeric::text || ' %' end,
      case when f.kind = 'margin' then (f.low * 100)::numeric::text || ' %' end, case when f.kind = 'margin' then (f.high * 100)::numeric::text || ' %' end`,
    from: `mowing.goal f
      left join mowing.product_line l on f.scope = 'line' and l.account_id = f.account_id and l.line_id = f.scope_id
      left join mowing.product p on f.scope = 'product' and p.account_id = f.account_id and p.product_id = f.scope_id
      left join mowing.campaign c on f.scope = 'campaign' and c.account_id = f.account_id and c.campaign_id = f.scope_id
      left join mowing.ad_group g on f.scope = 'ad-group' and g.account_id = f.account_id and g.ad_group_id = f.scope_id
      left join mowing.campaign gc on gc.account_id = g.account_id and gc.campaign_id = g.campaign_id`,
    order: 'f.scope, f.scope_id',
    byDay: false,
  },
};

/** Whether every campaign, ad group and target has an id of its market. */
async function haveAllIds(sql: Query, accountId: number): Promise<boolean> {
  const lacking = await sql`
    select 1 from mowing.campaign where account_id = ${accountId} and market_id is null
    union all select 1 from mowing.ad_group where account_id = ${accountId} and market_id is null
    union all select 1 from mowing.target where account_id = ${accountId} and market_id is null limit 1`;
  return lacking.length === 0;
}

/** Whether some of a kind's figures came summed: their rows leave with first and last day, as they came. */
const hasSums = async (sql: Query, accountId: number, kind: ImportKind): Promise<boolean> =>
  (await listSummed(sql, accountId)).some((sum) => sum.kind === kind);

/** Rows of any kind in the format in which they are taken in. @param span days, both counted; null: all there are */
export async function readExport(
  sql: Query,
  accountId: number,
  kind: ImportKind,
  span: { from: string; to: string } | null,
): Promise<ExportRows> {
  const {
    headings,
    columns,
    from,
    order,
    byDay: hasDays,
  } = kind in FACTS
    ? byDay(FACTS[kind as ReportKind], await hasSums(sql, accountId, kind))
    : LISTS[kind as TableKind];
  const days = hasDays && span !== null ? sql`and f.day between ${span.from} and ${span.to}` : sql``;
  const rows = sql`
    select ${sql.unsafe(columns)} from ${sql.unsafe(from)} where f.account_id = ${accountId} ${days}
    order by ${sql.unsafe(order)}`;
  const blocks = rows.values().cursor(BLOCK) as unknown as ExportRows['blocks'];
  // Ids for some and not for others could not be read back: names serve as keys then.
  const dropped = (await haveAllIds(sql, accountId))
    ? []
    : headings.flatMap((heading, at) => (/ ID$/.test(heading) ? [at] : []));
  if (dropped.length === 0) return { headings, blocks };
  const kept = <T>(list: T[]) => list.filter((_, at) => !dropped.includes(at));
  return { headings: kept(headings), blocks: withoutColumns(blocks, kept) };
}

async function* withoutColumns(
  blocks: ExportRows['blocks'],
  kept: <T>(list: T[]) => T[],
): AsyncGenerator<(string | number | null)[][]> {
  for await (const block of blocks) yield block.map(kept);
}
