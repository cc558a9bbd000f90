import { expect, test } from 'vitest';
import { judgeCarried } from './carried';
import type { Said } from './carried';

const said = (values: ReturnType<Said['of']>, made?: number): Said => ({
  of: () => values,
  made: () => made,
});
const BID = { does: 'set', entity: 'target', id: 4, values: { bid: 900_000 } } as const;

test('a change by hand is confirmed by what an import says, contradicted by another value, and open where it is silent', () => {
  expect(judgeCarried(BID, said({ bid: 900_000, state: 'paused' }))).toEqual({
    is: 'confirmed',
    targetId: null,
  });
  expect(judgeCarried(BID, said({ bid: 800_000 }))).toEqual({ is: 'other', word: 'bid', stands: 800_000 });
  expect(judgeCarried(BID, said({ state: 'enabled' }))).toEqual({ is: 'open' });
  expect(judgeCarried(BID, said(undefined))).toEqual({ is: 'open' });
});

test('what was to be made is confirmed once the import has it; a negative is in no list, so it stays open', () => {
  const keyword = {
    does: 'make-target',
    adGroupId: 1,
    kind: 'keyword',
    match: 'exact',
    expression: 'jar',
    bid: 5,
  } as const;
  expect(judgeCarried(keyword, said(undefined, 12))).toEqual({ is: 'confirmed', targetId: 12 });
  expect(judgeCarried(keyword, said({ bid: 5 }))).toEqual({ is: 'open' });
  const negative = {
    does: 'make-negative',
    campaignId: 1,
    adGroupId: null,
    match: 'exact',
    expression: 'jar',
  } as const;
  expect(judgeCarried(negative, said({})).is).toBe('open');
});
