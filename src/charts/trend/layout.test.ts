import { describe, expect, test } from 'vitest';
import { layOutTrend } from './layout';

const box = { width: 400, height: 200, margin: { top: 20, right: 50, bottom: 30, left: 50 } };
const series = (label: string, values: (number | null)[]) => ({
  label,
  values,
  show: String,
  tick: (value: number) => `${value}`,
});

describe('a trend', () => {
  test('gives each measure its own scale from zero: shapes are compared, not sizes', () => {
    const { lines, x } = layOutTrend([series('spend', [10, 20]), series('sales', [1000, 2000])], 2, box);
    expect(lines[0].yAt(1)).toBe(lines[1].yAt(1));
    expect(lines[0].yAt(0)).toBeGreaterThan(lines[0].yAt(1)!);
    expect([x(0), x(1)]).toEqual([50, 350]);
  });

  test('breaks where a day has no value, and ends at the last one that has', () => {
    const { lines } = layOutTrend([series('acos', [0.2, null, 0.3, null])], 4, box);
    expect(lines[0].path.match(/M/g)).toHaveLength(2);
    expect(lines[0].yAt(1)).toBeNull();
    expect(lines[0].end!.x).toBeCloseTo(250, 6);
  });

  test('of nothing is an empty picture, not an error', () => {
    const { lines } = layOutTrend([series('spend', [])], 0, box);
    expect(lines[0]).toMatchObject({ path: '', end: null, ticks: [] });
  });
});
