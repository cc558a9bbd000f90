import { describe, expect, test } from 'vitest';
import { layOutCutLine } from './layout';
import type { CutLinePoints } from './dots';
import type { CutLineLayout } from './layout';

const BOX = { width: 700, height: 220, margin: { top: 20, right: 16, bottom: 30, left: 48 } };

function points(list: { rpc: number; cpc: number; spend?: number; thin?: boolean }[]): CutLinePoints {
  const column = (of: (one: (typeof list)[number]) => number) =>
    Float64Array.from(list, (one) => of(one) * 1e6);
  return {
    rows: Int32Array.from(list.keys()),
    rpc: column((one) => one.rpc),
    low: column((one) => one.rpc / 2),
    high: column((one) => one.rpc * 2),
    cpc: column((one) => one.cpc),
    spend: column((one) => one.spend ?? 1),
    isThin: Uint8Array.from(list, (one) => (one.thin ? 1 : 0)),
  };
}

/** All dots, one by one. */
const dotsOf = ({ dots }: CutLineLayout) => Array.from({ length: dots.count }, (_, at) => dots.at(at));

const list = [
  { rpc: 4, cpc: 0.5, spend: 100 },
  { rpc: 1, cpc: 0.9, spend: 25, thin: true },
  { rpc: 2, cpc: 0.48, spend: 1 },
];

describe('the cut line', () => {
  const layout = layOutCutLine(points(list), 0.24, BOX);

  test('parts the rows that cost more than the target from those that may grow', () => {
    expect(dotsOf(layout).map(({ isOver }) => isOver)).toEqual([false, true, false]);
  });

  test('runs where cost per click is target times revenue per click', () => {
    const [x0, y0, x1, y1] = layout.line;
    for (const part of [0, 0.3, 1]) {
      const rpc = layout.toRpc(x0 + part * (x1 - x0));
      expect(layout.toCpc(y0 + part * (y1 - y0)) / rpc).toBeCloseTo(0.24, 9);
    }
  });

  test('has a dot over it exactly where its ACOS is over the target', () => {
    const [x0, y0, x1, y1] = layout.line;
    for (const dot of dotsOf(layout)) {
      const lineAt = y0 + ((dot.x - x0) / (x1 - x0)) * (y1 - y0);
      expect(dot.y < lineAt - 1e-6).toBe(dot.isOver);
    }
  });

  test('crosses the picture, inside its margins, with the dots', () => {
    for (const { x, y, x0, x1 } of dotsOf(layout)) {
      for (const at of [x, x0, x1]) expect(at).toBeGreaterThanOrEqual(48);
      for (const at of [x, x0, x1]) expect(at).toBeLessThanOrEqual(684);
      expect(y).toBeGreaterThan(20);
      expect(y).toBeLessThan(190);
    }
    expect(layout.line[1]).toBeGreaterThan(20);
  });

  test('gives areas in proportion to spend', () => {
    const area = (index: number) => (layout.dots.at(index).radius - 2) ** 2;
    expect(area(0) / area(1)).toBeCloseTo(4, 9);
  });

  test('has round ticks, at least three on each axis', () => {
    for (const ticks of [layout.xTicks, layout.yTicks]) {
      expect(ticks.length).toBeGreaterThanOrEqual(3);
      for (const { value } of ticks)
        expect([1, 1.5, 2, 3, 4, 5, 7]).toContain(
          Number((value / 10 ** Math.floor(Math.log10(value))).toFixed(6)),
        );
    }
  });

  test('goes from pixels back to figures for the brush', () => {
    expect(layout.toRpc(layout.toX(2e6))).toBeCloseTo(2e6, 0);
    expect(layout.toCpc(layout.toY(5e5))).toBeCloseTo(5e5, 0);
  });
});

describe('the picture', () => {
  test('of no rows, or of one, still has axes and a line', () => {
    for (const few of [[], [{ rpc: 2, cpc: 0.4 }]]) {
      const layout = layOutCutLine(points(few), 0.24, BOX);
      expect(layout.dots.count).toBe(few.length);
      expect(layout.line.every(Number.isFinite)).toBe(true);
      expect(layout.xTicks.length).toBeGreaterThan(0);
    }
  });

  test('of a hundred thousand rows shows where they lie dense: every one is in a dot or a swarm, on its side of the line', () => {
    const many = Array.from({ length: 100_000 }, (_, at) => ({
      rpc: 1 + (at % 70) / 9,
      cpc: 0.1 + (at % 53) / 40,
      spend: at,
    }));
    const { dots, alone, swarms, count, over } = layOutCutLine(points(many), 0.24, BOX);
    const held = (isOver: boolean) =>
      alone.filter((one) => one.isOver === isOver).length +
      swarms.reduce((sum, one) => sum + (one.isOver === isOver ? one.count : 0), 0);
    expect([count, held(true), held(false)]).toEqual([100_000, over, 100_000 - over]);
    expect(over).toBe(many.filter(({ rpc, cpc }) => cpc > 0.24 * rpc).length);
    // Few enough to be seen apart, and the largest still stand by themselves.
    expect(alone.length + swarms.length).toBeLessThan(6000);
    // What is pointed at or focused is found, however it is drawn.
    expect([dots.count, dots.of(54_321)!.row]).toEqual([100_000, 54_321]);
    expect(alone.map(({ row }) => row)).toEqual(expect.arrayContaining([99_999, 99_990, 99_900]));
    let nearest = Infinity;
    for (const one of swarms)
      for (const other of swarms)
        if (one !== other && one.isOver === other.isOver)
          nearest = Math.min(nearest, Math.hypot(one.x - other.x, one.y - other.y));
    expect(nearest).toBeGreaterThan(4.4);
  });

  test('leaves out what has no cost or no revenue: a logarithm cannot show it', () => {
    expect(
      layOutCutLine(points([...list, { rpc: 0, cpc: 1 }, { rpc: 1, cpc: 0 }]), 0.24, BOX).dots.count,
    ).toBe(3);
  });

  test('finds the dot under the pointer, and none far from all', () => {
    const { dots } = layOutCutLine(points(list), 0.24, BOX);
    expect(dots.nearest(dots.x[1] + 3, dots.y[1] - 4)?.row).toBe(1);
    expect(dots.nearest(dots.x[1], dots.y[1] - 40)).toBeUndefined();
  });
});
