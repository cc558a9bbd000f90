import { describe, expect, test } from 'vitest';
import type { OverviewDay } from '../../../contract/field';
import { moveOf, overviewFigures, sumDays } from './figures';

const day = (name: string, spend: number, sales: number, totalSales: number | null): OverviewDay => ({
  day: name,
  impressions: 100,
  clicks: 10,
  orders: 2,
  units: 2,
  spend,
  sales,
  totalSales,
});
const days = [
  day('2026-11-01', 10, 50, 100),
  day('2026-11-02', 30, 50, 100),
  day('2026-11-03', 40, 200, 300),
];

describe('the figures of the account', () => {
  const overview = {
    window: { from: '2026-11-03', to: '2026-11-03', unsettled: [], sums: [] },
    before: { from: '2026-11-02', to: '2026-11-02', isCovered: true },
    changes: [],
    days,
    profit: { now: 20, before: -10, unknownSales: 0 },
    month: { goal: null, lastDay: '2026-11-03' },
    missing: [],
  };
  const figures = overviewFigures(overview);
  const of = (key: string) => figures.find((one) => one.key === key)!;

  test('stand beside those of the window before', () => {
    expect(of('acos')).toMatchObject({ now: 0.2, before: 0.6 });
    expect(of('tacos')).toMatchObject({ now: 40 / 300, before: 0.3 });
    expect(of('organicSales')).toMatchObject({ now: 100, before: 50 });
    expect(of('profit')).toMatchObject({ now: 20, before: -10 });
  });

  test('stand beside nothing where the data do not cover the window before', () => {
    const alone = overviewFigures({ ...overview, before: { ...overview.before, isCovered: false } });
    expect(alone.every((one) => one.before === null && moveOf(one) === null)).toBe(true);
    expect(alone.find(({ key }) => key === 'acos')!.now).toBe(0.2);
  });

  test('move by a share where they are sums, by points where they are shares', () => {
    expect(moveOf(of('sales'))).toEqual({ value: 3, isShare: true });
    expect(moveOf(of('acos'))!.value).toBeCloseTo(-0.4, 12);
    expect(moveOf({ ...of('sales'), before: 0 })).toBeNull();
  });

  test('do not know all sales of a span of which one day is not told', () => {
    expect(sumDays(days, '2026-11-01', '2026-11-03').totalSales).toBe(500);
    expect(
      sumDays([...days, day('2026-11-04', 1, 1, null)], '2026-11-01', '2026-11-04').totalSales,
    ).toBeNull();
    expect(sumDays(days, '2026-12-01', '2026-12-02')).toMatchObject({ clicks: 0, totalSales: null });
  });
});
