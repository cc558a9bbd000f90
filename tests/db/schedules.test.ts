import { afterAll, beforeAll, beforeEach, describe, expect, test } from 'vitest';
import { findConflicts } from '../../src/core/changes';
import { addDays } from '../../src/core/units';
import { closeContext, db } from '../../src/server/context/context';
import { loadChanges } from '../../src/server/changes/loadChanges';
import { sendBale } from '../../src/server/changes/sendBale';
import { stageChanges } from '../../src/server/changes/stageChanges';
import { undoChanges } from '../../src/server/changes/undoChanges';
import { loadSchedules, priceOfWeek } from '../../src/server/hours/loadSchedules';
import { dropWeek, follow, keepWeek } from '../../src/server/hours/schedules';
import { advance } from '../../src/server/jobs/kinds/advance';
import { aheadOf } from '../../src/plans/bids';
import { loadPlan } from '../../src/server/plans/loadPlan';
import { loadTrials, trialNeeds } from '../../src/server/trials/loadTrials';
import { tendTrials } from '../../src/server/trials/tendTrials';
import { actOnTrial, startTrial } from '../../src/server/trials/trials';
import { THIS_MACHINE } from '../../src/server/trail';
import { market } from '../../src/server/market/market';
import { anAccount } from './account';
import { smallScenario } from '../../src/market/sim';
import { aShop } from './shop';
import type { Shop } from './shop';

let shop: Shop;
let account: number;
let [first, second]: number[] = [0, 0];

beforeAll(async () => {
  shop = await aShop();
  account = shop.account;
  const { rows } = await loadSchedules(account);
  [first, second] = rows
    .filter(({ left }) => left !== 'not running')
    .sort((a, b) => b.now.sales - a.now.sales)
    .map(({ campaignId }) => campaignId);
}, 240_000);
beforeEach(() => shop.calm());
afterAll(async () => {
  await shop?.end();
  await closeContext();
});

const WEEKEND = { name: 'Weekends lower', week: '0*120 -20*48' };
const OFF = { name: 'Weekends off', week: '0*120 -100*48' };
const NIGHTS = { name: 'Nights off', week: new Array(7).fill('-100*6 0*18').join(' ') };
const give = (campaigns: number[], week: typeof WEEKEND | null) =>
  follow(THIS_MACHINE, { account, campaigns, follow: week, bases: 1 });
const sendAll = (ids: number[]) => sendBale(THIS_MACHINE, account, ids);
const runningOf = async (id: number) =>
  (await loadSchedules(account)).running.filter(({ campaignId }) => campaignId === id);
/** What the market has of a campaign's schedules, by name, those that have not ended. */
async function onMarket() {
  const { items } = await market().entities(shop.key, 'schedules');
  return items.filter(({ state }) => state === 'enabled').map(({ name }) => name);
}
const pass = (days: number) =>
  advance.run({ accountId: account, input: { days }, tell: async () => {}, keepInput: async () => {} });

describe('schedules', () => {
  test('are kept by name, and no name is written over by chance', async () => {
    await keepWeek(THIS_MACHINE, account, WEEKEND, null);
    await expect(keepWeek(THIS_MACHINE, account, { ...NIGHTS, name: WEEKEND.name }, null)).rejects.toThrow(
      /already/,
    );
    await keepWeek(THIS_MACHINE, account, { ...WEEKEND, name: 'Lower on weekends' }, WEEKEND.name);
    expect((await loadSchedules(account)).named).toEqual([{ ...WEEKEND, name: 'Lower on weekends' }]);
    await dropWeek(THIS_MACHINE, account, 'Lower on weekends');
    await expect(dropWeek(THIS_MACHINE, account, 'Lower on weekends')).rejects.toThrow(/no schedule/);
  });

  test('are given to campaigns, changed, replaced and ended as changes that can be undone', async () => {
    const given = await give([first], WEEKEND);
    expect(given).toMatchObject({ asIs: 0, staged: [expect.any(Number)] });
    await sendAll(given.staged);
    expect(await runningOf(first)).toMatchObject([WEEKEND]);
    expect(await onMarket()).toEqual([WEEKEND.name]);
    expect(await give([first], WEEKEND)).toEqual({ staged: [], asIs: 1 });

    const lower = await give([first], { ...WEEKEND, week: '0*120 -30*48' });
    await sendAll(lower.staged);
    expect((await runningOf(first))[0].week).toBe('0*120 -30*48');
    const { ids } = await undoChanges(THIS_MACHINE, { account, ids: lower.staged });
    await sendAll(ids);
    expect((await runningOf(first))[0].week).toBe(WEEKEND.week);

    // Another one in its place: the old one ends first, so that the market never goes by both.
    const other = await give([first], NIGHTS);
    expect(other.staged).toHaveLength(2);
    expect(findConflicts(await loadChanges(account, { state: 'staged' }))).toEqual([]);
    await sendAll(other.staged);
    expect(await onMarket()).toEqual([NIGHTS.name]);
    const end = await give([first], null);
    await sendAll(end.staged);
    expect(await onMarket()).toEqual([]);
    await shop.sync();
    expect(await runningOf(first)).toEqual([]);
  });

  test('two on a campaign are a conflict that is told before anything is sent', async () => {
    const { staged } = await give([second], WEEKEND);
    await sendAll(staged);
    await stageChanges(THIS_MACHINE, account, [
      {
        change: { kind: 'add-schedule', campaignId: second, ...NIGHTS },
        reason: 'by another program',
        figures: {},
        effect: { spend: 0, sales: 0 },
      },
    ]);
    const [conflict] = findConflicts(await loadChanges(account, { state: 'staged' }));
    expect(conflict).toMatchObject({
      kind: 'two-schedules',
      sentence: expect.stringContaining(WEEKEND.name),
    });
    await shop.calm();
    await sendAll((await give([second], null)).staged);
  });

  test('switched off hours cost what they sell, and what a schedule moves is told to the plan of budgets', async () => {
    const price = await priceOfWeek(account, [first], NIGHTS.week);
    const [{ sold, all }] = await db()<{ sold: number; all: number }[]>`
      select sum(spend_micros) filter (where hour < 6)::float8 as sold, sum(spend_micros)::float8 as all
      from mowing.campaign_hour where account_id = ${account} and campaign_id = ${first}
        and day between ${(await loadSchedules(account)).window!.from} and ${(await loadSchedules(account)).window!.to}`;
    expect(price.offHours).toBe(42);
    expect(price.off.spend / price.now.spend).toBeCloseTo(sold / all, 6);
    expect(price.sales).toBeCloseTo(-price.off.sales, 0);
    const before = await loadPlan({ account, step: 'budgets' });
    await give([first], { name: 'Half', week: '-50*168' });
    const [{ figures }] = await loadChanges(account, { state: 'staged' });
    expect(figures.spendBy).toBeCloseTo(0.5 ** 1.54, 3);
    expect(aheadOf(await loadChanges(account, { state: 'staged' })).schedules).toEqual([
      [first, figures.spendBy, figures.salesBy],
    ]);
    expect(await loadPlan({ account, step: 'budgets' })).toMatchObject({ step: before.step });
  });

  test('are kept to by the market: switched off hours bring nothing, the others sell on', async () => {
    await sendAll((await give([first], NIGHTS)).staged);
    const [{ week }] = (await market().entities(shop.key, 'schedules')).items.filter(
      ({ state, name }) => state === 'enabled' && name === NIGHTS.name,
    );
    expect(week).toHaveLength(168);
    const [{ last }] = await db()<{ last: string }[]>`
      select max(day) as last from mowing.campaign_hour where account_id = ${account}`;
    await shop.pass(4);
    const [shown] = await db()<{ off: number; on: number }[]>`
      select coalesce(sum(impressions) filter (where hour < 6), 0)::integer as off, coalesce(sum(impressions) filter (where hour >= 6), 0)::integer as on
      from mowing.campaign_hour where account_id = ${account} and campaign_id = ${first} and day > ${last}`;
    expect(shown.off).toBe(0);
    expect(shown.on).toBeGreaterThan(100);
    await sendAll((await give([first], null)).staged);
  });

  test('are not for an account that has no market, and that is said', async () => {
    const { id } = await anAccount();
    const asked = { account: id, campaigns: [1], follow: WEEKEND, bases: 1 };
    await expect(follow(THIS_MACHINE, asked)).rejects.toThrow(/no schedules/);
    expect((await loadSchedules(id)).offered).toBe(null);
    expect((await loadPlan({ account, step: 'hours' })).settings).toMatchObject({ schedules: true });
  });
});

describe('a trial by weeks', () => {
  const begin = (weeks: number, name = 'Weekends') =>
    startTrial(THIS_MACHINE, {
      account,
      name,
      of: { does: 'follow', campaigns: [first], follow: OFF, bases: 1 },
      weeks,
      bounds: { sales: 1, rank: 10 },
    });

  test('switches by itself, comes off when its weeks are over, and ends with a verdict once orders are in', async () => {
    const needs = await trialNeeds(account, [first]);
    expect(needs.orders).toBeGreaterThan(0);
    await begin(4);
    expect(await onMarket()).toEqual([OFF.name]);
    await expect(begin(4, 'Again')).rejects.toThrow(/in a trial/);
    await expect(give([first], NIGHTS)).rejects.toThrow(/in a trial/);
    expect((await loadSchedules(account)).rows.find((row) => row.campaignId === first)!.left).toBe(
      'in a trial',
    );
    await pass(28);
    const [trial] = await loadTrials(account);
    const day = (week: number) => addDays(trial.firstDay, 7 * week);
    expect(trial.switches.map(({ week, isOn, day: on }) => [week, isOn, on])).toEqual([
      [0, true, day(0)],
      [1, false, day(1)],
      [3, true, day(3)],
      [4, false, day(4)],
    ]);
    expect(trial).toMatchObject({ state: 'running', isOn: false, nextSwitch: null });
    expect(await onMarket()).toEqual([]);
    await pass(21);
    const [over] = await loadTrials(account);
    expect(over).toMatchObject({
      state: 'ended',
      settled: [0, 1, 2, 3],
      verdict: { verdict: expect.any(String) },
    });
    const [sums] = await db()<{ on: number | null; off: number }[]>`
      select sum(spend_micros) filter (where (day - ${over.firstDay}::date) / 7 in (0, 3))::float8 as on,
        sum(spend_micros) filter (where (day - ${over.firstDay}::date) / 7 in (1, 2))::float8 as off
      from mowing.placement_day where account_id = ${account} and campaign_id = ${first}
        and extract(isodow from day) > 5 and day between ${over.firstDay} and ${day(4)}::date - 1`;
    const others = over.estimate.effects.spend!;
    // On the market the weekends of weeks that were on brought nothing, those of the others did.
    expect(sums.on ?? 0).toBe(0);
    expect(sums.off).toBeGreaterThan(0);
    expect(others.effect).toBeLessThan(0.1);
    const staged = await actOnTrial(THIS_MACHINE, account, over.id, 'keep');
    expect(staged.staged).toHaveLength(1);
  }, 240_000);

  test('takes what waits in the tray, and is stopped by hand: its changes go off', async () => {
    const { staged } = await give([second], NIGHTS);
    const request = { account, weeks: 4, bounds: { sales: 1, rank: 10 } };
    await startTrial(THIS_MACHINE, { ...request, name: 'Tray', of: { does: 'staged', ids: staged } });
    expect(await loadChanges(account, { state: 'staged' })).toEqual([]);
    expect(await onMarket()).toEqual([NIGHTS.name]);
    const [{ id }] = await loadTrials(account);
    await actOnTrial(THIS_MACHINE, account, id, 'stop');
    expect(await onMarket()).toEqual([]);
    expect((await loadTrials(account))[0]).toMatchObject({ state: 'stopped', why: 'Stopped by hand.' });
    await expect(actOnTrial(THIS_MACHINE, account, id, 'stop')).rejects.toThrow(/no more/);
  });

  test('refuses what cannot be switched off again', async () => {
    const [id] = await stageChanges(THIS_MACHINE, account, [
      {
        change: {
          kind: 'add-negative',
          campaignId: second,
          adGroupId: null,
          match: 'exact',
          expression: 'trial',
        },
        reason: 'a test',
        figures: {},
        effect: { spend: 0, sales: 0 },
      },
    ]);
    const request = { account, name: 'No', weeks: 4, bounds: { sales: 1, rank: 10 } };
    await expect(
      startTrial(THIS_MACHINE, { ...request, of: { does: 'staged', ids: [id!] } }),
    ).rejects.toThrow(/switched on and off/);
    expect(await loadChanges(account, { state: 'staged' })).toHaveLength(1);
  });

  test('that was cut off while it switched goes on where it was, and never switches twice', async () => {
    await begin(4, 'Cut off');
    const [{ id, firstDay }] = await loadTrials(account);
    // The market's day moves on; the program dies after it has asked the market, before it has written that down.
    await shop.pass(7);
    await tendTrials(account);
    await db()`delete from mowing.week_trial_switch where account_id = ${account} and trial_id = ${id} and week = 1`;
    await tendTrials(account);
    const [trial] = await loadTrials(account);
    expect(trial.switches.map(({ week, isOn }) => [week, isOn])).toEqual([
      [0, true],
      [1, false],
    ]);
    expect(trial.switches[1].day).toBe(addDays(firstDay, 7));
    const undone = await db()`
      select 1 from mowing.change where account_id = ${account} and undoes_change_id is not null and state = 'accepted'
        and change ->> 'campaignId' = ${String(first)} and answered_on >= ${firstDay}`;
    expect(undone).toHaveLength(1);
    await actOnTrial(THIS_MACHINE, account, id, 'stop');
  });
});

test('where schedules can only raise, base bids give way in the same bale, and a week that lowers is refused with the reason', async () => {
  const raising = await aShop({ options: { ...smallScenario().options, schedules: 'raise only' } });
  const of = raising.account;
  const { rows, offered } = await loadSchedules(of);
  expect(offered).toBe('raise only');
  const asked = { account: of, campaigns: [rows[0].campaignId] };
  const lower = await follow(THIS_MACHINE, { ...asked, follow: WEEKEND, bases: 1 });
  await sendBale(THIS_MACHINE, of, lower.staged);
  const [refused] = (await loadChanges(of, {})).filter(({ id }) => lower.staged.includes(id));
  expect(refused).toMatchObject({ state: 'refused', answer: expect.stringContaining('only raise') });
  const raise = { name: 'Evenings', week: new Array(7).fill('0*18 30*6').join(' ') };
  const { staged } = await follow(THIS_MACHINE, { ...asked, follow: raise, bases: 0.8 });
  const waiting = await loadChanges(of, { state: 'staged' });
  const bids = waiting.flatMap(({ change }) => (change.kind === 'set-bid' ? [change.to / change.from!] : []));
  expect(bids.length).toBeGreaterThan(3);
  for (const one of bids) expect(one).toBeCloseTo(0.8, 1);
  await sendBale(THIS_MACHINE, of, staged);
  expect((await loadChanges(of, { state: 'staged' })).length).toBe(0);
  expect((await loadSchedules(of)).running).toMatchObject([raise]);
  await raising.end();
});
