import { describe, expect, test } from 'vitest';
import { aTree, sumsByTarget } from '../../../tests/make/lenses';
import { changeKey, USUAL_LIMITS } from '../../core/changes';
import type { Change } from '../../core/changes';
import { buildLens, noSumColumns } from '../../core/lenses';
import { indexTree } from '../../core/structure';
import type { AccountTree } from '../../core/structure';
import { planMove, planState } from './handChanges';
import type { Staged } from './staged';

const sums = sumsByTarget([{ id: 1001, now: { impressions: 9, clicks: 10, spend: 3 } }]);
const auto = (over: Partial<AccountTree> = {}) => buildLens('auto', indexTree(aTree(over)), sums);
const limits = { ...USUAL_LIMITS, minBid: 250_000 };
const none: Staged = new Map();
const options = {
  limits,
  staged: none,
  suggested: new Map<number, number>(),
  wanted: new Map<number, number>(),
  days: 30.4,
  againToo: false,
};
const waiting = (change: Change): Staged => new Map([[changeKey(change), change]]);

describe('bids of a selection moved by hand', () => {
  test('are counted by what becomes of them before anything is staged', () => {
    const plan = planMove(auto(), [0, 1, 2], { kind: 'percent', by: -0.5 }, options);
    expect(plan).toMatchObject({
      down: 3,
      up: 0,
      atFloor: 3,
      atCap: 0,
      same: 0,
      before: 1_200_000,
      after: 750_000,
    });
    expect(plan.changes[0]).toMatchObject({
      change: { kind: 'set-bid', targetId: 1001, from: 400_000, to: 250_000 },
      reason: 'By hand: −50 %.',
      figures: { clicks: 10, spend: 3_000_000 },
    });
  });

  test('give a target that bid its ad group’s default a bid of its own, from that', () => {
    const [one] = planMove(auto(), [1], { kind: 'percent', by: 0.1 }, options).changes;
    expect(one.change).toEqual({ kind: 'set-bid', targetId: 1002, from: 300_000, to: 330_000 });
  });

  test('leave out what waits in the tray, and what was changed in the last six days, unless asked for', () => {
    const staged = waiting({ kind: 'set-bid', targetId: 1001, from: 400_000, to: 350_000 });
    const table = auto({ lastChanges: [{ entity: 'target', id: 1002, day: '2026-11-18' }] });
    const step = { kind: 'percent', by: -0.1 } as const;
    expect(planMove(table, [0, 1, 2], step, { ...options, staged })).toMatchObject({
      pending: 1,
      recent: 1,
      down: 1,
    });
    expect(planMove(table, [0, 1, 2], step, { ...options, staged, againToo: true })).toMatchObject({
      down: 3,
    });
  });

  test('nudged by key go on from what is staged', () => {
    const staged = waiting({ kind: 'set-bid', targetId: 1001, from: 400_000, to: 350_000 });
    const [one] = planMove(
      auto(),
      [0],
      { kind: 'percent', by: -0.1 },
      { ...options, staged, isNudge: true },
    ).changes;
    expect(one.change).toMatchObject({ from: 400_000, to: 310_000 });
  });

  test('go to the cost per click where there is one, and stay where there is none', () => {
    const plan = planMove(auto(), [0, 1], { kind: 'cpc' }, options);
    expect(plan).toMatchObject({ down: 1, same: 1 });
    expect(plan.changes[0].change).toMatchObject({ to: 300_000 });
  });

  test('go to what the market suggests', () => {
    const suggested = new Map([[1005, 610_000]]);
    const plan = planMove(auto(), [2], { kind: 'suggested' }, { ...options, suggested });
    expect(plan.changes[0].change).toMatchObject({ targetId: 1005, to: 610_000 });
  });
});

describe('budgets and modifiers', () => {
  test('move like bids, each within its own limits', () => {
    const campaigns = buildLens('campaigns', indexTree(aTree()), sums);
    const plan = planMove(campaigns, [0], { kind: 'amount', by: -9_500_000 }, options);
    expect(plan.changes[0].change).toEqual({
      kind: 'set-budget',
      campaignId: 1,
      from: 10_000_000,
      to: 1_000_000,
    });
    expect(plan.atFloor).toBe(1);
    const placements = buildLens('placements', indexTree(aTree()), {
      size: 1,
      isBeforeCovered: true,
      campaignId: Int32Array.of(1),
      placement: Int32Array.of(0),
      now: noSumColumns(1),
      before: noSumColumns(1),
    });
    const [raised] = planMove(placements, [0], { kind: 'value', to: 0.75 }, options).changes;
    expect(raised.change).toEqual({
      kind: 'set-modifier',
      campaignId: 1,
      placement: 'top',
      from: 0.5,
      to: 0.75,
    });
  });
});

describe('pausing a selection', () => {
  test('takes what runs, leaves what is paused already or waits to be', () => {
    const table = auto();
    table.state[1] = 1;
    const staged = waiting({ kind: 'set-state', entity: 'target', id: 1005, from: 'enabled', to: 'paused' });
    expect(planState(table, [0, 1, 2], 'paused', staged, 30).map(({ change }) => change)).toEqual([
      { kind: 'set-state', entity: 'target', id: 1001, from: 'enabled', to: 'paused' },
    ]);
  });

  test('is nothing for search terms: they have no state', () => {
    const terms = buildLens(
      'terms',
      indexTree(aTree()),
      { ...sums, termId: Int32Array.of(1) },
      new Map([[1, { text: 'crock', kind: 'words', isNew: false }]]),
    );
    expect(planState(terms, [0], 'paused', none, 30)).toEqual([]);
  });
});

test('what is a draft, or has ended, is not changed by hand: the market would not know it', () => {
  const tree = aTree();
  const campaigns = tree.campaigns.map((one) => (one.id === 2 ? { ...one, state: 'draft' as const } : one));
  const table = buildLens('campaigns', indexTree({ ...tree, campaigns }), sums);
  const rows = Array.from({ length: table.size }, (_, row) => row);
  const planned = planMove(table, rows, { kind: 'percent', by: 0.5 }, options).changes;
  expect(planned.map(({ change }) => (change as { campaignId: number }).campaignId)).toEqual([1, 3]);
  expect(
    planState(table, rows, 'paused', none, 30).map(({ change }) => (change as { id: number }).id),
  ).toEqual([1, 3]);
});
