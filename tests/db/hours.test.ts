import { afterAll, beforeAll, expect, test } from 'vitest';
import { addDays } from '../../src/core/units';
import { findImport } from '../../src/db/queries/imports';
import { loadHours } from '../../src/server/hours/loadHours';
import { takeInReport } from '../../src/server/imports/takeInReport';
import { THIS_MACHINE } from '../../src/server/trail';
import { closeContext, db } from '../../src/server/context/context';
import { inPieces } from '../make/report';
import { anAccount } from './account';
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

const sum = (list: readonly number[]) => list.reduce((all, one) => all + one, 0);
const whole = { weeks: 4, scope: 'account' as const, scopeId: 0 };

test('the hours of the week are the sums of whole settled weeks, each on its weekday', async () => {
  const { account } = shop;
  const { window, clicks, spend, orders, worth } = await loadHours({ account, ...whole });
  const { from, to } = window!;
  const days = (Date.parse(to) - Date.parse(from)) / 86_400_000 + 1;
  expect([days % 7, days >= 7]).toEqual([0, true]);
  const rows = await db()<{ day: string; hour: number; clicks: number; spend: number; orders: number }[]>`
    select day, hour, sum(clicks)::integer as clicks, sum(spend_micros)::bigint as spend, sum(orders)::integer as orders
    from mowing.campaign_hour where account_id = ${account} and day between ${from} and ${to} group by day, hour`;
  expect(sum(clicks)).toBe(sum(rows.map((one) => one.clicks)));
  expect(sum(spend)).toBe(sum(rows.map((one) => one.spend)));
  expect([sum(orders), worth.orders]).toEqual(new Array(2).fill(sum(rows.map((one) => one.orders))));
  const sundayNoon = rows.filter(
    ({ day, hour }) => hour === 12 && new Date(`${day}T12:00:00Z`).getUTCDay() === 0,
  );
  expect(clicks[6 * 24 + 12]).toBe(sum(sundayNoon.map((one) => one.clicks)));
});

test('those of a campaign are its own, while how it sells is the account’s as long as it has few orders', async () => {
  const { account, campaign } = shop;
  const [all, one] = [
    await loadHours({ account, ...whole }),
    await loadHours({ account, weeks: 4, scope: 'campaign', scopeId: campaign }),
  ];
  expect(sum(one.clicks)).toBeGreaterThan(0);
  expect(sum(one.clicks)).toBeLessThan(sum(all.clicks));
  expect(one.isOwn).toBe(false);
  expect(one.factor).toEqual(all.factor);
});

test('without a report by hour nothing is told', async () => {
  const { id } = await anAccount();
  expect(await loadHours({ account: id, ...whole })).toMatchObject({
    window: null,
    worth: { isWorthIt: false },
  });
});

test('of an account that is fed by files they are those of its report by hour', async () => {
  const account = await anAccount();
  const lines = Array.from({ length: 28 * 24 }, (_, at) => {
    const day = addDays('2026-10-05', Math.floor(at / 24));
    return `${day},${at % 24},Weights,100,${at % 24 < 6 ? 1 : 10},${at % 24 < 6 ? '0.40' : '4.00'},1,1,20.00`;
  });
  const text = ['Date,Hour,Campaign,Impressions,Clicks,Spend,Orders,Units,Sales', ...lines].join('\n');
  const file = { name: 'hours.csv', bytes: null };
  const id = await takeInReport(THIS_MACHINE, account, 'hours', inPieces(text, 4096), file);
  expect((await findImport(db(), id))!.state).toBe('done');
  const { window, clicks, spend, hour, worth } = await loadHours({ account: account.id, ...whole });
  expect(window).toEqual({ from: '2026-10-05', to: '2026-11-01' });
  expect([clicks[3], clicks[12], spend[12]]).toEqual([4, 40, 16_000_000]);
  // At night one click in one sells, by day one in ten: that is a pattern if anything is.
  expect(hour[3]).toBeGreaterThan(2 * hour[12]);
  expect(worth.isWorthIt).toBe(true);
});
