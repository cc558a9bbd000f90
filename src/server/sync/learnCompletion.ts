import { addDays, dayNumber } from '../../core/units';
import type { MarketAccount } from '../../contract/market';
import type { MarketClient } from '../../connect/market';
import { insertSnapshots, listSnapshots, OLDEST_AGE } from '../../db/queries/snapshots';
import type { Snapshot } from '../../db/queries/snapshots';
import { readByHeading } from '../../connect/reports';
import { db } from '../context/context';

/** Days of the past whose reports are asked for as they looked then. */
const LOOK_BACK_DAYS = 28;
/** From so many campaigns on, every so many days only: a report a day would take longer than it tells. */
const MANY_CAMPAIGNS = 500;
const SPARSE_STEP = 5;

/**
 * On the first sync an account has no history of how orders came in. The market can make a report as it looked on an
 * earlier day; from some of those the completion of late orders is learnt at once. Later syncs keep what they see.
 */
export async function learnCompletion(
  accountId: number,
  remote: MarketAccount,
  market: MarketClient,
): Promise<void> {
  const since = addDays(remote.today, -LOOK_BACK_DAYS - OLDEST_AGE);
  if ((await listSnapshots(db(), accountId, since)).length > 0) return;
  const products = await productsOfCampaigns(accountId);
  const step = products.size > MANY_CAMPAIGNS ? SPARSE_STEP : 1;
  for (let back = LOOK_BACK_DAYS; back > 0; back -= step) {
    const madeOn = addDays(remote.today, -back);
    const from = addDays(madeOn, -1 - OLDEST_AGE);
    if (from < remote.firstDay) continue;
    const { csv } = await market.report(remote.id, {
      kind: 'placements',
      from,
      to: addDays(madeOn, -1),
      madeOn,
    });
    await insertSnapshots(db(), accountId, sum(await readByHeading(csv), madeOn, products));
  }
}

/** The product of each campaign that advertises just one, by the market's id of the campaign. */
async function productsOfCampaigns(accountId: number): Promise<Map<string, number>> {
  const rows = await db()<{ campaign: string; product: number }[]>`
    select c.market_id as campaign, coalesce(min(g.product_id), 0) as product
    from mowing.campaign c left join mowing.ad_group g on g.account_id = c.account_id and g.campaign_id = c.campaign_id
    where c.account_id = ${accountId} and c.market_id is not null
    group by c.market_id having count(distinct g.product_id) <= 1`;
  return new Map(rows.map(({ campaign, product }) => [campaign, product]));
}

function sum(rows: Record<string, string>[], madeOn: string, products: Map<string, number>): Snapshot[] {
  const sums = new Map<string, Snapshot>();
  for (const row of rows) {
    const product = products.get(row['Campaign ID']) ?? 0;
    for (const productId of product === 0 ? [0] : [0, product]) {
      const key = `${row.Date} ${productId}`;
      const age = dayNumber(madeOn) - 1 - dayNumber(row.Date);
      let one = sums.get(key);
      if (!one) sums.set(key, (one = { day: row.Date, age, productId, clicks: 0, orders: 0 }));
      one.clicks += Number(row.Clicks);
      one.orders += Number(row.Orders);
    }
  }
  return [...sums.values()];
}
