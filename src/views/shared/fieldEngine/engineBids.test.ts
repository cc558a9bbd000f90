import { describe, expect, test } from 'vitest';
import { aBidFeed } from '../../../../tests/make/bids';
import { aFieldAnswer } from '../../../../tests/make/field';
import { aTree } from '../../../../tests/make/lenses';
import { settingsOf, USUAL_CHOICES } from '../../../core/bids';
import { USUAL_LIMITS } from '../../../core/changes';
import { readCondition } from '../../../core/conditions';
import { fieldEngine } from './fieldEngine';
import type { BidsAsked } from '../../../plans/bids';

const TARGETS = aFieldAnswer([
  { targetId: 1001, impressions: 900, clicks: 100, spend: 40e6 },
  { targetId: 1002, impressions: 500, clicks: 50, spend: 30e6 },
  { targetId: 1003, impressions: 200, clicks: 40, spend: 20e6, orders: 8, sales: 480e6 },
]);

describe('bids in the engine', () => {
  // Ten clicks a day for sixty days: the first target sells nothing, the second sells cheaply.
  const ages = Array.from({ length: 60 }, (_, age) => age);
  const days = [
    { id: 1001, orders: 0 },
    { id: 1003, orders: 1 },
    { id: 1002, orders: 0.2 },
  ].flatMap(({ id, orders }) => ages.map((age) => ({ id, age, orders: age % 5 === 0 ? orders * 5 : 0 })));
  const feed = aBidFeed({
    days: {
      targetId: days.map(({ id }) => id),
      age: days.map(({ age }) => age),
      clicks: days.map(() => 10),
      spend: days.map(() => 3e6),
      orders: days.map(({ orders }) => orders),
      sales: days.map(({ orders }) => orders * 60e6),
    },
  });
  const settings = settingsOf(USUAL_CHOICES, USUAL_LIMITS);
  const asked: BidsAsked = {
    step: 'dead',
    show: 'proposed',
    settings,
    conditions: [],
    sort: null,
    staged: [],
    aside: [],
  };
  const loaded = async () => {
    const held = fieldEngine({
      tree: () => Promise.resolve(aTree()),
      fieldSums: () => Promise.resolve(TARGETS),
      bidFeed: () => Promise.resolve(feed),
    });
    const { loadId, table } = await held.loadBids(1, { revision: 1, targetAcos: 0.24 });
    const ids = (over: Partial<BidsAsked>) =>
      Array.from(held.arrangeBids(loadId, { ...asked, ...over })!.rows, (row) => table.targetId[row]);
    return { ...held, loadId, table, ids };
  };

  test('are judged in the field as in the round: one name is one list, whatever the lens', async () => {
    const { ids, load, arrange } = await loaded();
    const version = { revision: 1, targetAcos: 0.24 };
    const judged = async (where: string) => {
      const { loadId, table } = await load(1, version, 'targets');
      const rows = {
        scope: null,
        stack: [[readCondition(where)!]],
        sorts: [],
        judge: { account: 1, version, settings },
      };
      return Array.from((await arrange(loadId, rows))!.rows, (row) => table.targetId[row]).sort();
    };
    expect(await judged('judged=dead spend')).toEqual(ids({ step: 'dead' }).sort());
    expect(await judged('judged=room to grow')).toEqual(ids({ step: 'grow' }).sort());
    expect(await judged('plan.step<=-1')).toEqual(
      [...ids({ step: 'dead' }), ...ids({ step: 'over' })].sort(),
    );
  });

  test('under a target of one scope alone tell what it does there, and leave the others out', async () => {
    const { tryGoal, table } = await loaded();
    const campaignId = table.campaignId[Array.from(table.targetId).indexOf(1003)];
    const at = (acos: number) =>
      tryGoal(1, { revision: 1, targetAcos: 0.24 }, settings, {
        scope: 'campaign',
        scopeId: campaignId,
        kind: 'acos',
        low: acos,
        high: acos,
      });
    const [strict, loose] = [await at(0.05), await at(0.6)];
    expect(strict.targets).toBe(
      Array.from(table.campaignId).filter((id, row) => id === campaignId && table.state[row] === 0).length,
    );
    expect(strict.targets).toBeLessThan(table.size);
    expect(strict.now).toEqual(loose.now);
    expect(strict.after.spend).toBeLessThan(strict.now.spend);
    expect(loose.after.sales).toBeGreaterThan(strict.after.sales);
    expect(strict.down).toBeGreaterThan(loose.down);
  });

  test('go into the step they belong to, and each step tells what is left and at stake', async () => {
    const { ids, arrangeBids, loadId } = await loaded();
    expect(ids({ step: 'dead' })).toEqual([1001]);
    expect(ids({ step: 'grow' })).toContain(1003);
    const { steps, all } = arrangeBids(loadId, asked)!;
    expect(all).toBe(5);
    const dead = steps.find(({ step }) => step === 'dead')!;
    expect(dead.left).toBe(1);
    // Ten clicks a day at 0.30, a month of them.
    expect(dead.money / 1e6).toBeCloseTo(91, -1);
  });

  test('that are staged or put aside leave their step, and are found among those put aside', async () => {
    const { ids } = await loaded();
    expect(ids({ staged: [1001] })).toEqual([]);
    expect(ids({ aside: [1001] })).toEqual([]);
    expect(ids({ aside: [1001], show: 'aside' })).toEqual([1001]);
    expect(ids({ show: 'all' })).toHaveLength(5);
  });

  test('are ordered by what only the plan knows, and by any measure', async () => {
    const { ids, table, planBids, loadId } = await loaded();
    const { chance } = planBids(loadId, settings)!;
    const chances = ids({ show: 'all', sort: { by: 'plan.chance', descending: false } }).map(
      (id) => chance[table.targetId.indexOf(id)],
    );
    expect(chances).toEqual([...chances].sort((a, b) => a - b));
    expect(new Set(chances).size).toBeGreaterThan(2);
    const byClicks = ids({ show: 'all', sort: { by: 'clicks', descending: true } });
    expect(byClicks[0]).toBe(1001);
  });

  test('another target ACOS is tried on the whole account without changing anything', async () => {
    const { tryTarget, loadId, planBids } = await loaded();
    const before = [...planBids(loadId, settings)!.wanted];
    const [low, high] = [0.1, 0.5].map((acos) => tryTarget(loadId, settings, acos)!);
    expect(low.after.spend).toBeLessThan(high.after.spend);
    expect(low.now).toEqual(high.now);
    expect([...planBids(loadId, settings)!.wanted]).toEqual(before);
  });

  test('are told for any targets, and for those that do not run not at all', async () => {
    const { wantedBids } = await loaded();
    const [dead, good, unknown] = await wantedBids(
      1,
      { revision: 1, targetAcos: 0.24 },
      settings,
      [1001, 1003, 4711],
    );
    expect(good!).toBeGreaterThan(dead!);
    expect(unknown).toBeNull();
  });

  test('belong to their load: it stays when another lens is looked through, which has none', async () => {
    const { planBids, arrangeBids, tryTarget, load, loadId } = await loaded();
    const before = [...arrangeBids(loadId, asked)!.rows];
    const other = await load(1, { revision: 1, targetAcos: 0.24 }, 'auto');
    expect([planBids(other.loadId, settings), arrangeBids(other.loadId, asked)]).toEqual([null, null]);
    expect([...arrangeBids(loadId, asked)!.rows]).toEqual(before);
    expect(tryTarget(other.loadId + 1, settings, 0.2)).toBeNull();
  });
});
