import { once } from 'node:events';
import { finished } from 'node:stream/promises';
import { PLACEMENTS } from '../sim';
import type { DayFacts, Figures } from '../sim';
import type { MarketTx } from './connection';

/** Where what happened is kept, by account. */
export const FACT_TABLES = [
  'term_day',
  'target_day',
  'campaign_hour',
  'product_day',
  'rank_day',
  'late_order',
] as const;

type Rows = (string | number)[][];
const COPY_PIECE = 5000;

const figures = ({ impressions, clicks, orders, units, spend, sales }: Figures) => [
  impressions,
  clicks,
  orders,
  units,
  spend,
  sales,
];

/** Writes what one day left. */
export async function writeDay(tx: MarketTx, account: string, facts: DayFacts): Promise<void> {
  const { day } = facts;
  const at = (placement: (typeof PLACEMENTS)[number]) => PLACEMENTS.indexOf(placement);
  await copy(
    tx,
    'term_day',
    facts.terms.map((one) => [account, day, one.targetId, one.term, ...figures(one)]),
  );
  await copy(
    tx,
    'target_day',
    facts.targets.map((one) => [account, day, one.targetId, at(one.placement), ...figures(one)]),
  );
  await copy(
    tx,
    'campaign_hour',
    facts.hours.map((one) => [account, day, one.campaignId, one.hour, ...figures(one)]),
  );
  await copy(
    tx,
    'product_day',
    facts.products.map((one) => [
      account,
      day,
      one.productId,
      one.orders,
      one.units,
      one.sales,
      one.refundedUnits,
      one.refundedSales,
    ]),
  );
  await copy(
    tx,
    'rank_day',
    facts.ranks.map((one) => [account, day, one.productId, one.term, one.rank, one.weeklySearches]),
  );
  await copy(
    tx,
    'late_order',
    facts.late.map((one) => [
      account,
      day,
      one.arrives,
      one.targetId,
      one.term,
      at(one.placement),
      one.campaignId,
      one.hour,
      one.units,
      one.sales,
    ]),
  );
}

async function copy(tx: MarketTx, table: string, rows: Rows) {
  if (rows.length === 0) return;
  const out = await tx`copy quaymarket.${tx.unsafe(table)} from stdin`.writable();
  for (let from = 0; from < rows.length; from += COPY_PIECE) {
    let text = '';
    for (const row of rows.slice(from, from + COPY_PIECE)) text += `${row.join('\t')}\n`;
    if (!out.write(text)) await once(out, 'drain');
  }
  out.end();
  await finished(out);
}

/** Tables that late orders are added to, by what names a row in them. */
const LATE_INTO: Record<string, string[]> = {
  term_day: ['target_id', 'term'],
  target_day: ['target_id', 'placement'],
  campaign_hour: ['campaign_id', 'hour'],
};

/** Makes the late orders visible that arrive in a span of days. */
export async function applyLateOrders(
  tx: MarketTx,
  account: string,
  from: string,
  to: string,
): Promise<void> {
  for (const [table, keys] of Object.entries(LATE_INTO)) {
    const columns = tx.unsafe(keys.join(', '));
    await tx`
      update quaymarket.${tx.unsafe(table)} f set orders = f.orders + l.orders, units = f.units + l.units, sales = f.sales + l.sales
      from (
        select day, ${columns}, count(*) as orders, sum(units) as units, sum(sales) as sales from quaymarket.late_order
        where account_id = ${account} and arrives between ${from} and ${to} group by day, ${columns}
      ) l
      where f.account_id = ${account} and f.day = l.day
        and f.day between (${from}::date - 14) and ${to} and ${tx.unsafe(keys.map((key) => `f.${key} = l.${key}`).join(' and '))}`;
  }
}
