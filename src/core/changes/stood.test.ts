import { expect, test } from 'vitest';
import { NOTHING_MADE, stoodBefore } from '.';
import type { Change } from '.';

const accepted = (change: Change, made = {}) => ({ change, made: { ...NOTHING_MADE, ...made } });
const target = (id: number, bid: number | null, state = 'enabled') => ({ id, bid, state });

test('before its changes a target has its first bid, runs if it was ended, and is not there if they made it', () => {
  const stood = stoodBefore([
    accepted({ kind: 'set-bid', targetId: 1, from: 200_000, to: 300_000 }),
    accepted({ kind: 'set-state', entity: 'target', id: 1, from: 'enabled', to: 'paused' }),
    accepted({ kind: 'set-bid', targetId: 1, from: 300_000, to: 450_000 }),
    accepted({ kind: 'archive-target', targetId: 2 }),
    accepted(
      { kind: 'add-keyword', adGroupId: 9, expression: 'crock', match: 'exact', bid: 100_000 },
      { targetId: 3 },
    ),
  ]);
  expect(
    stood.of('target', [target(1, 450_000, 'paused'), target(2, 5, 'archived'), target(3, 1), target(4, 7)]),
  ).toEqual([target(1, 200_000), target(2, 5), target(4, 7)]);
});

test('budgets, modifiers and negatives of then stand beside what was never touched', () => {
  const stood = stoodBefore([
    accepted({ kind: 'set-budget', campaignId: 1, from: 10_000_000, to: 20_000_000 }),
    accepted({ kind: 'set-modifier', campaignId: 1, placement: 'top', from: 0.1, to: 0.3 }),
    accepted(
      { kind: 'add-negative', campaignId: 1, adGroupId: null, match: 'exact', expression: 'lid' },
      { negativeId: 5 },
    ),
  ]);
  const one = { id: 1, budget: 20_000_000, top: 0.3, rest: 0.2 };
  expect(stood.of('campaign', [one, { ...one, id: 2 }])).toEqual([
    { id: 1, budget: 10_000_000, top: 0.1, rest: 0.2 },
    { ...one, id: 2 },
  ]);
  expect(stood.of('negative', [{ id: 5 }, { id: 6 }])).toEqual([{ id: 6 }]);
});
