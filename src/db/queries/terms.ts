import type { TermColumns, TermDays } from '../../contract/review';
import { columnOf } from '../../contract/packed';
import { addDays } from '../../core/units';
import type { Db, Query } from '../connection';
import { addedUp } from './addedUp';
import type { AddedUp } from './addedUp';
import { ALL, clickedOnly, isMoreThan } from './clickedOnly';
import type { Only } from './clickedOnly';
import { sumOf, sumOfBig } from './sumOf';
import { withRoom } from './withRoom';

/** The columns of search terms by ad group, and what they are in the query below. Money in micros. */
const TERM_COLUMNS: Record<keyof TermColumns, string> = {
  termId: 'term_id',
  term: 'text',
  adGroupId: 'ad_group_id',
  campaignId: 'campaign_id',
  targetId: 'target_id',
  targetCount: 'targets',
  days: 'days',
  firstDay: 'first_day',
  impressions: 'impressions',
  clicks: 'clicks',
  spend: 'spend',
  orders: 'orders',
  units: 'units',
  sales: 'sales',
  allClicks: 'all_clicks',
  allSpend: 'all_spend',
  allOrders: 'all_orders',
  allSales: 'all_sales',
  spend30: 'spend_30',
  sales30: 'sales_30',
  spend60: 'spend_60',
  sales60: 'sales_60',
  spend90: 'spend_90',
  sales90: 'sales_90',
};

/** Sums that are of the window alone, and of all days that count; each with what it is of a day. */
const FIGURES = {
  impressions: 'impressions',
  clicks: 'clicks',
  orders: 'orders',
  units: 'units',
  spend: 'spend_micros',
  sales: 'sales_micros',
};
/** Stretches of the last settled days. */
const RECENT = [30, 60, 90];

/** Where more rows than this are to be added up, only terms with a click are: nothing can be proposed for the others. */
const MOST_ROWS = 500_000;

export interface ReadTerms {
  columns: TermColumns;
  /** Whether terms without a click were left out because there are too many. */
  isCut: boolean;
}

function sumsBy(source: AddedUp): Record<string, string> {
  const sum = (of: string, span: string) =>
    `coalesce(${sumOf(`f.${of}`)} filter (where ${source.isIn(span, 'f')}), 0)`;
  return {
    ...Object.fromEntries(Object.entries(FIGURES).map(([name, of]) => [name, sum(of, 'window')])),
    ...Object.fromEntries(
      (['clicks', 'spend', 'orders', 'sales'] as const).map((name) => [
        `all_${name}`,
        sum(FIGURES[name], 'counting'),
      ]),
    ),
    ...Object.fromEntries(
      RECENT.flatMap((days) =>
        (['spend', 'sales'] as const).map((name) => [`${name}_${days}`, sum(FIGURES[name], `last${days}`)]),
      ),
    ),
  };
}

/**
 * The search terms of a window by ad group, with the target that brought most clicks, most spend first.
 * @param counting the settled days that estimates stand on
 */
export async function readTermColumns(
  sql: Db,
  accountId: number,
  from: string,
  to: string,
  counting: { from: string; to: string },
): Promise<ReadTerms> {
  const last = (days: number) => {
    const first = addDays(counting.to, 1 - days);
    return { from: first > counting.from ? first : counting.from, to: counting.to };
  };
  const source = addedUp(
    {
      table: 'term_day',
      weekTable: 'term_week',
      columns: ['target_id', 'term_id', ...Object.values(FIGURES)],
      withClickedDays: true,
    },
    {
      window: { from, to },
      counting,
      ...Object.fromEntries(RECENT.map((days) => [`last${days}`, last(days)])),
    },
  );
  return withRoom(sql, async (tx) => {
    const isCut = await isMoreThan(tx, accountId, source, MOST_ROWS);
    const only = isCut ? await clickedOnly(tx, accountId, source) : ALL;
    const [row] = await tx.unsafe<[Record<keyof TermColumns, string | null>]>(termQuestion(source, only), [
      accountId,
      ...only.values,
    ]);
    const columns = Object.keys(TERM_COLUMNS).map((name) => {
      const printed = row[name as keyof TermColumns];
      return [name, name === 'term' ? (JSON.parse(printed ?? '[]') as string[]) : columnOf(printed ?? '')];
    });
    return { columns: Object.fromEntries(columns) as TermColumns, isCut };
  });
}

function termQuestion(source: AddedUp, { where }: Only): string {
  const sums = sumsBy(source);
  const inWindow = source.isIn('window', 'f');
  const printed = Object.entries(TERM_COLUMNS).map(([name, column]) =>
    name === 'term'
      ? `json_agg(r.${column})::text as "${name}"`
      : `string_agg(r.${column}::text, ',') as "${name}"`,
  );
  return `with by_target as (
      select f.target_id, f.term_id, ${Object.entries(sums)
        .map(([name, of]) => `${of} as ${name}`)
        .join(', ')},
        coalesce(sum(f.clicked_days) filter (where ${inWindow}), 0) as days, bool_or(${inWindow}) as is_in_window
      from ${source.rows} f where ${where}
      group by f.target_id, f.term_id
    ), by_ad_group as (
      select t.ad_group_id, b.term_id, (max(array[b.clicks, b.impressions, b.target_id]))[3] as target_id,
        count(*) filter (where is_in_window) as targets, max(b.days) as days, ${Object.keys(sums)
          .map((name) => `${sumOfBig(`b.${name}`)} as ${name}`)
          .join(', ')}
      from by_target b join mowing.target t on t.account_id = $1 and t.target_id = b.target_id
      group by t.ad_group_id, b.term_id
      having bool_or(b.is_in_window)
    )
    select ${printed.join(', ')} from (
      select a.*, w.text, coalesce(w.first_day - date '1970-01-01', 0) as first_day, g.campaign_id
      from by_ad_group a
      join mowing.term w on w.account_id = $1 and w.term_id = a.term_id
      join mowing.ad_group g on g.account_id = $1 and g.ad_group_id = a.ad_group_id
      order by a.spend desc, a.term_id, a.ad_group_id) r`;
}

/** The days of a term in an ad group, up to `to`, all that there are since `from`. */
export async function readTermDays(
  sql: Query,
  at: { accountId: number; adGroupId: number; termId: number; from: string; to: string },
): Promise<TermDays['days']> {
  return sql<TermDays['days']>`
    select f.day, sum(f.impressions) as impressions, sum(f.clicks) as clicks, sum(f.spend_micros) as spend,
           sum(f.orders) as orders, sum(f.units) as units, sum(f.sales_micros) as sales
    from mowing.target t join mowing.term_day f on f.account_id = t.account_id and f.target_id = t.target_id
    where t.account_id = ${at.accountId} and t.ad_group_id = ${at.adGroupId} and f.term_id = ${at.termId}
      and f.day between ${at.from} and ${at.to}
    group by f.day order by f.day`;
}
