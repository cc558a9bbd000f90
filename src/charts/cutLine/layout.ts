import { scaleLog } from 'd3-scale';
import type { ScaleLogarithmic } from 'd3-scale';
import { Dots } from './dots';
import type { CutLinePoints, Dot } from './dots';
import { inSwarms } from './swarms';
import type { Swarm } from './swarms';

export interface Box {
  width: number;
  height: number;
  margin: { top: number; right: number; bottom: number; left: number };
}

export interface CutLineLayout {
  /** All points: what is pointed at or focused is found among them, however it is drawn. */
  dots: Dots;
  /** Those that are drawn by themselves, and the others, where dots would lie over each other. */
  alone: Dot[];
  swarms: Swarm[];
  /** All points, and those of them over the line. */
  count: number;
  over: number;
  line: [x0: number, y0: number, x1: number, y1: number];
  xTicks: { at: number; value: number }[];
  yTicks: { at: number; value: number }[];
  /** From pixels back to micros, for the brush. */
  toRpc: (x: number) => number;
  toCpc: (y: number) => number;
  toX: (rpc: number) => number;
  toY: (cpc: number) => number;
}

/** More dots than this cannot be told apart: where they would lie over each other, they are drawn as swarms. */
const MOST_DOTS = 1200;
const POWERS = [1];
const COARSE = [1, 2, 5];
const FINE = [1, 1.5, 2, 3, 4, 5, 7];

/**
 * Lays out the cut line: revenue per click across, cost per click up, both logarithmic. On the line
 * CPC = target x revenue per click; above it is over the target ACOS, below is under.
 * @param target target ACOS, share
 */
export function layOutCutLine(points: CutLinePoints, target: number, box: Box): CutLineLayout {
  const shown = drawable(points);
  const { margin } = box;
  const [rpcLow, rpcHigh] = extent(shown, points.rpc);
  const [cpcLow, cpcHigh] = extent(shown, points.cpc);
  // Both axes reach far enough for the line to cross the picture.
  const x = scaleLog(
    [Math.min(rpcLow, cpcLow / target) / 1.3, Math.max(rpcHigh, cpcHigh / target / 2) * 1.3],
    [margin.left, box.width - margin.right],
  );
  const y = scaleLog([cpcLow / 1.4, cpcHigh * 1.4], [box.height - margin.bottom, margin.top]);
  const [atX, atY] = [placesOn(x), placesOn(y)];
  const clampX = (value: number) => Math.max(margin.left, Math.min(box.width - margin.right, atX(value)));
  const dots = new Dots(points, shown, { x: clampX, y: atY }, target);
  const [x0, x1] = x.domain();
  return {
    dots,
    ...(dots.count <= MOST_DOTS
      ? { alone: Array.from({ length: dots.count }, (_, index) => dots.at(index)), swarms: [] }
      : inSwarms(dots, box.width, box.height)),
    count: dots.count,
    over: dots.isOver.reduce((sum, one) => sum + one, 0),
    line: [x(x0), y(x0 * target), x(x1), y(x1 * target)],
    xTicks: ticks(x.domain()).map((value) => ({ at: x(value), value })),
    yTicks: ticks(y.domain()).map((value) => ({ at: y(value), value })),
    toRpc: (at) => x.invert(at),
    toCpc: (at) => y.invert(at),
    toX: clampX,
    toY: atY,
  };
}

/** Where values lie on a logarithmic scale, in few steps: it is asked for every point. */
function placesOn(scale: ScaleLogarithmic<number, number>): (value: number) => number {
  const [[first, last], [start, end]] = [scale.domain(), scale.range()];
  const perLog = (end - start) / Math.log(last / first);
  return (value) => start + perLog * Math.log(value / first);
}

/** The points that can be drawn. */
function drawable({ cpc, rpc }: CutLinePoints): Int32Array {
  const found = new Int32Array(cpc.length);
  let count = 0;
  for (let at = 0; at < cpc.length; at += 1)
    if (cpc[at] > 0 && rpc[at] > 0) {
      found[count] = at;
      count += 1;
    }
  return found.subarray(0, count);
}

function extent(shown: Int32Array, values: Float64Array): [number, number] {
  let low = Infinity;
  let high = 0;
  for (const at of shown) {
    low = Math.min(low, values[at]);
    high = Math.max(high, values[at]);
  }
  return high === 0 ? [100_000, 1_000_000] : low === high ? [low / 2, high * 2] : [low, high];
}

/** Round values inside a domain: powers of ten over many decades, finer ones over a short span. */
function ticks([low, high]: number[]): number[] {
  const values: number[] = [];
  const decades = Math.log10(high / low);
  for (let power = Math.floor(Math.log10(low)); power <= Math.log10(high); power += 1)
    for (const step of decades > 3 ? POWERS : decades > 1.1 ? COARSE : FINE) {
      const value = step * 10 ** power;
      if (value >= low && value <= high) values.push(value);
    }
  return values;
}
