import { describe, expect, test } from 'vitest';
import { measure, NO_SUMS } from '../../../core/measures';
import { shadeOf } from './shade';

const cell = (spend: number, sales: number, targetAcos: number | null = 0.25) => ({
  sums: { ...NO_SUMS, clicks: 10, spend, sales },
  targetAcos,
});
const total = cell(100, 400);

describe('the shade of a cell', () => {
  test('is none on the target, clay above it and blue below, darkest at twice and at half of it', () => {
    const acos = measure('acos');
    expect(shadeOf(cell(25, 100), acos, total)!.amount).toBeCloseTo(0, 12);
    expect(shadeOf(cell(50, 100), acos, total)).toEqual({ amount: 1, words: '100 % above its target' });
    expect(shadeOf(cell(90, 100), acos, total)!.amount).toBe(1);
    expect(shadeOf(cell(12.5, 100), acos, total)!.amount).toBe(-1);
  });

  test('of spend without sales is the worst there is, whatever is spent', () => {
    for (const key of ['acos', 'roas'] as const)
      expect(shadeOf(cell(1, 0), measure(key), total)).toEqual({ amount: 1, words: 'spend without sales' });
    expect(shadeOf(cell(0, 0), measure('acos'), total)).toBeNull();
  });

  test('of a cost is held against the whole', () =>
    expect(shadeOf(cell(50, 100), measure('cpc'), total)).toMatchObject({ words: '50 % below the whole' }));

  test('is none for sums, for what has no value, and where no target is known', () => {
    expect(shadeOf(cell(50, 100), measure('spend'), total)).toBeNull();
    expect(shadeOf(cell(50, 100, null), measure('acos'), total)).toBeNull();
  });
});
