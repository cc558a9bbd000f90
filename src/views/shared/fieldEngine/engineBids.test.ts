import { describe, expect, test } from 'vitest';
import { sixtyDays } from '../../../../tests/make/bids';
import { aFieldAnswer } from '../../../../tests/make/field';
import { aTree } from '../../../../tests/make/lenses';
import { PACES, settingsOf, USUAL_CHOICES } from '../../../core/bids';
import { USUAL_LIMITS } from '../../../core/changes';
import { readCondition } from '../../../core/conditions';
import { fieldEngine } from './fieldEngine';
import { indexTree } from '../../../core/structure';
import { answerBids } from '../../../plans/bidAnswers';
import { keptBids, tellPlan } from '../../../plans/bids';
import type { BidsAsked } from '../../../plans/bids';

const TARGETS = aFieldAnswer([
  { targetId: 1001, impressions: 900, clicks: 100, spend: 40e6 },
  { targetId: 1002, impressions: 500, clicks: 50, spend: 30e6 },
  { targetId: 1003, impressions: 200, clicks: 40, spend: 20e6, orders: 8, sales: 480e6 },
]);

describe('bids in the engine', () => {
  // The first target sells nothing, the second sells cheaply.
  const feed = sixtyDays([
    { id: 1001, orders: 0 },
    { id: 1003, orders: 5 },
    { id: 1002, orders: 1 },
  ]);
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
  const bids = keptBids(indexTree(aTree()), feed);
  const loaded = async () => {
    /** How each plan that was asked for came: as a whole, or as a step from the one before. */
    const plans: string[] = [];
    const held = fieldEngine({
      tree: () => Promise.resolve(aTree()),
      fieldSums: () => Promise.resolve(TARGETS),
      bidPlan: async (_, at, known) => {
        const answer = known === undefined ? bids.columns(at) : tellPlan(bids.columns(at), known);
        plans.push(Object.keys(answer).includes('from') ? 'whole' : 'step');
        return answer;
      },
      askBids: async (_, question, asked) => answerBids(bids, question, asked),
    });
    const { loadId, table } = await held.load(1, { revision: 1, targetAcos: 0.24 }, 'targets');
    const ids = async (over: Partial<BidsAsked>) =>
      Array.from((await held.arrangeBids(loadId, { ...asked, ...over }))!.rows, (row) => table.targetId[row]);
    return { ...held, loadId, table, ids, plans };
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
    expect(await judged('judged=dead spend')).toEqual((await ids({ step: 'dead' })).sort());
    expect(await judged('judged=room to grow')).toEqual((await ids({ step: 'grow' })).sort());
    expect(await judged('plan.step<=-1')).toEqual(
      [...(await ids({ step: 'dead' })), ...(await ids({ step: 'over' }))].sort(),
    );
  });

  test('go into the step they belong to, and each step tells what is left and at stake', async () => {
    const { ids, arrangeBids, loadId } = await loaded();
    expect(await ids({ step: 'dead' })).toEqual([1001]);
    expect(await ids({ step: 'grow' })).toContain(1003);
    const { steps, all } = (await arrangeBids(loadId, asked))!;
    expect(all).toBe(5);
    const dead = steps.find(({ step }) => step === 'dead')!;
    expect(dead.left).toBe(1);
    // Ten clicks a day at 0.30, a month of them.
    expect(dead.money / 1e6).toBeCloseTo(91, -1);
  });

  test('that are staged or put aside leave their step, and are found among those put aside', async () => {
    const { ids } = await loaded();
    expect(await ids({ staged: [1001] })).toEqual([]);
    expect(await ids({ aside: [1001] })).toEqual([]);
    expect(await ids({ aside: [1001], show: 'aside' })).toEqual([1001]);
    expect(await ids({ show: 'all' })).toHaveLength(5);
  });

  test('are ordered by what only the plan knows, and by any measure', async () => {
    const { ids, table, planBids, loadId } = await loaded();
    const { chance } = (await planBids(loadId, settings))!;
    const chances = (await ids({ show: 'all', sort: { by: 'plan.chance', descending: false } })).map(
      (id) => chance[table.targetId.indexOf(id)],
    );
    expect(chances).toEqual([...chances].sort((a, b) => a - b));
    expect(new Set(chances).size).toBeGreaterThan(2);
    const byClicks = await ids({ show: 'all', sort: { by: 'clicks', descending: true } });
    expect(byClicks[0]).toBe(1001);
  });

  test('are asked for once at the same settings, whatever lens looks at them', async () => {
    const { planBids, readPlan, load, loadId, table, plans, ids } = await loaded();
    const other = await load(1, { revision: 1, targetAcos: 0.24 }, 'auto');
    const [all, few] = [(await planBids(loadId, settings))!, (await planBids(other.loadId, settings))!];
    expect(few.size).toBe(other.table.size);
    expect(other.table.size).toBeLessThan(table.size);
    other.table.targetId.forEach((id, row) =>
      expect(few.wanted[row]).toBe(all.wanted[table.targetId.indexOf(id)]),
    );
    await ids({ step: 'grow' });
    expect(plans).toEqual(['whole']);
    // Another pace comes as what it changes, and is the plan that it would be as a whole.
    const brisk = { ...settings, step: PACES.brisk };
    const stepped = (await planBids(loadId, brisk))!;
    const whole = bids.columns(brisk);
    table.targetId.forEach((id, row) => {
      const at = whole.targetIds.indexOf(id);
      expect([stepped.to[row], stepped.rpc[row]]).toEqual([whole.to[at], whole.rpc[at]]);
    });
    // One that was looked at ahead is there when it is chosen, and the one before when she goes back.
    const careful = { ...settings, step: PACES.careful };
    readPlan(1, { revision: 1, targetAcos: 0.24 }, careful);
    await planBids(loadId, careful);
    await planBids(loadId, settings);
    expect(plans).toEqual(['whole', 'step', 'step']);
    // From another aim everything is another: it comes as a whole, and what was kept goes.
    await planBids(loadId, { ...settings, aim: 'strict' });
    await planBids(loadId, brisk);
    expect(plans).toEqual(['whole', 'step', 'step', 'whole', 'whole']);
  });

  test('that could not be worked out are asked for again', async () => {
    let isDown = true;
    const { load, planBids } = fieldEngine({
      tree: () => Promise.resolve(aTree()),
      fieldSums: () => Promise.resolve(TARGETS),
      askBids: async (_, question, asked) => answerBids(bids, question, asked),
      bidPlan: async (_, at) => {
        if (isDown) throw new Error('out of memory');
        return bids.columns(at);
      },
    });
    const { loadId } = await load(1, { revision: 1, targetAcos: 0.24 }, 'targets');
    await expect(planBids(loadId, settings)).rejects.toThrow('out of memory');
    isDown = false;
    expect((await planBids(loadId, settings))!.size).toBe(5);
  });

  test('belong to their load: it stays when another lens is looked through; campaigns have none', async () => {
    const { planBids, arrangeBids, load, loadId } = await loaded();
    const before = [...(await arrangeBids(loadId, asked))!.rows];
    const other = await load(1, { revision: 1, targetAcos: 0.24 }, 'campaigns');
    expect(await Promise.all([planBids(other.loadId, settings), arrangeBids(99, asked)])).toEqual([
      null,
      null,
    ]);
    expect([...(await arrangeBids(loadId, asked))!.rows]).toEqual(before);
  });
});
