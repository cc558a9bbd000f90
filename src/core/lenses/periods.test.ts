import { describe, expect, test } from 'vitest';
import { daysOfPeriod, nameOfPeriod, startOfPeriod } from './periods';

const WINDOW = { from: '2026-10-07', to: '2026-12-31' };

describe('weeks and months of a window', () => {
  test('begin on Mondays and on the first', () => {
    expect(['2026-10-04', '2026-10-05', '2026-10-11'].map((day) => startOfPeriod(day, 'week'))).toEqual([
      '2026-09-28',
      '2026-10-05',
      '2026-10-05',
    ]);
    expect(startOfPeriod('2026-12-31', 'month')).toBe('2026-12-01');
  });

  test('are cut by the window, and say so by their days', () => {
    expect(nameOfPeriod('2026-10-05', 'week', WINDOW)).toBe('7 Oct – 11 Oct');
    expect(nameOfPeriod('2026-10-01', 'month', WINDOW)).toBe('7 Oct – 31 Oct');
    expect(nameOfPeriod('2026-12-01', 'month', WINDOW)).toBe('Dec 2026');
    expect(daysOfPeriod('2026-12-28', 'week', WINDOW)).toEqual({ from: '2026-12-28', to: '2026-12-31' });
  });
});
