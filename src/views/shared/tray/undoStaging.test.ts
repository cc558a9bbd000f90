import { expect, test } from 'vitest';
import { undoStaging } from './undoStaging';

const base = {
  change: { kind: 'set-bid', targetId: 1, from: 400_000, to: 300_000 },
  reason: 'goes along with the modifiers',
  figures: {},
  carries: {},
  effect: { spend: 0, sales: 0 },
} as const;

test('what was staged leaves the tray again; what was there already stays', () => {
  expect(undoStaging([10, null, 12], [])).toEqual({
    words: '2 changes put in the tray',
    undoing: { kind: 'take-out', ids: [10, 12] },
  });
  expect(undoStaging([null], [])).toBeNull();
});

test('a change that took the place of one in the tray gives it back', () => {
  const undone = undoStaging([10, null, 12], [{ ...base, id: 10 }]);
  expect(undone?.undoing).toEqual({ kind: 'put-back', ids: [12], changes: [base] });
});
