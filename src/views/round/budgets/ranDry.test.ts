import { expect, test } from 'vitest';
import type { BudgetsPlan } from '../../../plans/budgets';
import { ranDry } from './ranDry';

const planOf = (rows: { days: number; dry: number }[]) =>
  ({
    rows: rows.map(({ days, dry }) => ({
      days,
      dry: Array.from({ length: dry }),
      missed: { sales: dry * 5_000_000 },
      perMonth: 1.1,
    })),
  }) as unknown as BudgetsPlan;

test('who ran dry is known where hours tell of it, and not said where none do', () => {
  expect(
    ranDry(
      planOf([
        { days: 28, dry: 2 },
        { days: 28, dry: 0 },
      ]),
    ),
  ).toEqual({ count: 1, missed: 11_000_000, isKnown: true });
  expect(ranDry(planOf([{ days: 0, dry: 0 }])).isKnown).toBe(false);
  expect(ranDry(planOf([{ days: 28, dry: 0 }])).isKnown).toBe(true);
});
