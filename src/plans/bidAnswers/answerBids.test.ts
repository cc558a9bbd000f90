import { describe, expect, test } from 'vitest';
import { sixtyDays } from '../../../tests/make/bids';
import { aTree } from '../../../tests/make/lenses';
import { PACES, settingsOf, USUAL_CHOICES } from '../../core/bids';
import { USUAL_LIMITS } from '../../core/changes';
import { indexTree } from '../../core/structure';
import { keptBids, wholePlan } from '../bids';
import { answerBids } from './answerBids';

// The first target sells nothing, the second sells cheaply.
const index = indexTree(aTree());
const feed = sixtyDays([
  { id: 1001, orders: 0 },
  { id: 1003, orders: 5 },
  { id: 1002, orders: 1 },
]);
const bids = keptBids(index, feed);
const settings = settingsOf(USUAL_CHOICES, USUAL_LIMITS);

describe('asked about an account’s bids', () => {
  test('another target ACOS is tried on the whole account without changing anything', () => {
    const plan = () => [...bids.columns(settings).wanted];
    const before = plan();
    const [low, high] = [0.1, 0.5].map((acos) => answerBids(bids, 'target', { settings, acos }));
    expect(low.after.spend).toBeLessThan(high.after.spend);
    expect(low.now).toEqual(high.now);
    expect(plan()).toEqual(before);
  });

  test('another pace is told as what it changes, and is the same plan then; another aim is told as a whole', () => {
    const usual = bids.columns(settings);
    const at = (over: Partial<typeof settings>) =>
      answerBids(bids, 'planFrom', { settings: { ...settings, ...over }, known: usual.base });
    const brisk = at({ step: PACES.brisk });
    expect(Object.keys(brisk)).not.toContain('wanted');
    const whole = wholePlan(brisk, usual);
    const anew = keptBids(index, feed).columns({ ...settings, step: PACES.brisk });
    expect(whole).toEqual({ ...anew, base: usual.base });
    expect([...whole.to]).not.toEqual([...usual.to]);
    expect(Object.keys(at({ aim: 'strict' }))).toContain('wanted');
    expect(() => wholePlan(brisk, null)).toThrow('another plan');
  });

  test('the plans of all paces lie ready beside the usual one, once they were looked ahead for', () => {
    const usual = bids.decide(settings);
    const others = [PACES.careful, PACES.brisk].map((step) => ({ ...settings, step }));
    for (const other of others) answerBids(bids, 'planAhead', { settings: other });
    const ahead = others.map(bids.decide);
    for (const other of others) answerBids(bids, 'planFrom', { settings: other, known: '' });
    expect(bids.decide(settings)).toBe(usual);
    others.forEach((other, at) => expect(bids.decide(other)).toBe(ahead[at]));
  });

  test('budgets at another pace are shared out by what was kept from the one before, as if made anew; another aim has its own', () => {
    const money = { means: 'sum stays' as const, month: null, over: 1, byBids: [] };
    const at = (over: Partial<typeof settings>, of = bids) =>
      of.budgets({ ...settings, money, ...over }, new Map())!;
    const usual = at({});
    for (const over of [{ step: PACES.brisk }, { aim: 'keep profit' as const }, {}])
      expect(at(over)).toEqual(at(over, keptBids(index, feed)));
    const demands = ({ proposals }: typeof usual) => proposals.map(({ demand }) => demand);
    expect(demands(at({ aim: 'keep profit' }))).not.toEqual(demands(usual));
  });

  test('a target of one scope alone tells what it does there, and leaves the others out', () => {
    const campaignId = index.placeOfTarget(1003).campaignId!;
    const at = (acos: number) =>
      answerBids(bids, 'goal', {
        settings,
        goal: { scope: 'campaign', scopeId: campaignId, kind: 'acos', low: acos, high: acos },
      });
    const [strict, loose] = [at(0.05), at(0.6)];
    const running = aTree().targets.filter(
      ({ id, state }) => index.placeOfTarget(id).campaignId === campaignId && state === 'enabled',
    );
    expect(strict.targets).toBe(running.length);
    expect(strict.targets).toBeLessThan(aTree().targets.length);
    expect(strict.now).toEqual(loose.now);
    expect(strict.after.spend).toBeLessThan(strict.now.spend);
    expect(loose.after.sales).toBeGreaterThan(strict.after.sales);
    expect(strict.down).toBeGreaterThan(loose.down);
  });

  test('wanted bids are told for any targets, and for those that do not run not at all', () => {
    const [dead, good, unknown] = answerBids(bids, 'wanted', {
      settings,
      targetIds: [1001, 1003, 4711],
    }).bids;
    expect(good!).toBeGreaterThan(dead!);
    expect(unknown).toBeNull();
  });
});
