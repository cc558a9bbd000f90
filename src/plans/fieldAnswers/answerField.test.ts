import { expect, test } from 'vitest';
import { aFieldAnswer } from '../../../tests/make/field';
import { aTree } from '../../../tests/make/lenses';
import { indexTree } from '../../core/structure';
import { answerField } from './answerField';

test('an account is summed up: automatic against by hand, who stands how, who moved it', () => {
  const sums = aFieldAnswer([
    { targetId: 1001, clicks: 100, spend: 40e6, orders: 4, sales: 240e6, spendBefore: 10e6 },
    { targetId: 1002, clicks: 50, spend: 30e6 },
    { targetId: 1003, clicks: 40, spend: 20e6, orders: 8, sales: 480e6, spendBefore: 25e6 },
  ]);
  const parts = answerField(indexTree(aTree()), 'overview', { sums });
  expect(parts.now).toMatchObject({ clicks: 190, spend: 90e6 });
  expect(parts.auto.now.spend + parts.manual.now.spend).toBe(parts.now.spend);
  expect(parts.moved.spend.movers.map(({ name, move }) => [name, move])).toEqual([['Crock auto', 60e6]]);
  expect(parts.standings.reduce((sum, { spend }) => sum + spend, 0)).toBe(90e6);
  expect(parts.targetAcos).toBeCloseTo(0.25, 12);
});
