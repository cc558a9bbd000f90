import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import type { BidFeed } from '../../src/core/bids';
import { indexTree } from '../../src/core/structure';
import { addDays } from '../../src/core/units';
import { keptBids } from '../../src/plans/bids';
import { loadBidFeed } from '../../src/server/bids/loadBidFeed';
import { closeContext, db } from '../../src/server/context/context';
import { loadTree } from '../../src/server/field/loadTree';
import { changeChoices } from '../../src/server/plans/choices';
import { THIS_MACHINE } from '../../src/server/trail';
import { aShop } from './shop';
import type { Shop } from './shop';

let shop: Shop;
beforeAll(async () => {
  shop = await aShop();
});
afterAll(async () => {
  await shop?.end();
  await closeContext();
});

const feedNow = async () => JSON.parse(await loadBidFeed(shop.account)) as BidFeed;
const setBudget = (micros: number) => db()`
  update mowing.campaign set budget_micros = ${micros} where account_id = ${shop.account} and campaign_id = ${shop.campaign}`;

describe('budgets as they stood', () => {
  test('are kept by day, whatever changes them; on one day the last counts', async () => {
    const [{ was }] = await db()<{ was: number }[]>`
      select budget_micros as was from mowing.campaign where account_id = ${shop.account} and campaign_id = ${shop.campaign}`;
    expect((await feedNow()).budgetDays).toEqual([]);
    await setBudget(was + 1_000_000);
    await setBudget(was + 2_000_000);
    const [{ today }] = await db()<{ today: string }[]>`
      select market_day as today from mowing.account where account_id = ${shop.account}`;
    expect((await feedNow()).budgetDays).toEqual([
      { campaignId: shop.campaign, day: '2000-01-01', budget: was },
      { campaignId: shop.campaign, day: today, budget: was + 2_000_000 },
    ]);
  });

  test('judge the days before a change: a campaign that ran dry then is not well for having money now', async () => {
    const feed = await feedNow();
    const { account, campaign } = shop;
    // A week ago its money was gone at noon every day: 12 clicks at 0.50 of a budget of 6.
    const from = addDays(feed.today, -7);
    await db()`
      update mowing.budget_day set budget_micros = 6000000 where account_id = ${account} and campaign_id = ${campaign} and day = '2000-01-01'`;
    await db()`delete from mowing.campaign_hour where account_id = ${account} and campaign_id = ${campaign} and day >= ${from}`;
    await db()`
      insert into mowing.campaign_hour (account_id, day, campaign_id, hour, impressions, clicks, orders, units, spend_micros, sales_micros)
      select ${account}, ${from}::date + d, ${campaign}, h, 10, 1, 0, 0, 500000, 0 from generate_series(0, 6) d, generate_series(0, 11) h`;
    const index = indexTree(await loadTree(account));
    const bids = keptBids(index, await feedNow());
    const { dry } = bids.ranDry.campaigns[bids.campaignIds.indexOf(campaign)];
    const week = dry.filter(({ age }) => age < 7);
    expect(week.map((one) => one.from)).toEqual(new Array(7).fill(11.5));
    for (const { missed } of week) expect(missed).toBeGreaterThan(5);
  });
});

test('what the money is for is refused without an amount, and kept with one', async () => {
  const change = (money: { means: 'money'; month?: number }) =>
    changeChoices(THIS_MACHINE, { account: shop.account, money });
  await expect(change({ means: 'money' })).rejects.toThrow('Say how much may be spent a month');
  const { choices } = await change({ means: 'money', month: 900_000_000 });
  expect(choices.money).toEqual({ means: 'money', month: 900_000_000, over: 1.25 });
});
