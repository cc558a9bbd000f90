import { scaleLog } from 'd3-scale';
import type { Dot } from './dot';
import { inSwarms } from './swarms';
import type { Swarm } from './swarms';

/** What the picture is made of: parallel columns, in inner units (micros). */
export interface CutLinePoints {
  /** Row of each point. */
  rows: Int32Array;
  /** Revenue per click, its 80 % interval, and cost per click. */
  rpc: Float64Array;
  low: Float64Array;
  high: Float64Array;
  cpc: Float64Array;
  spend: Float64Array;
  /** 1 where evidence is thin. */
  isThin: Uint8Array;
}

export interface Box {
  width: number;
  height: number;
  margin: { top: number; right: number; bottom: number; left: number };
}

export interface CutLineLayout {
  /** All points: what is pointed at or focused is found among them, however it is drawn. */
  dots: Dot[];
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
  const most = shown.reduce((top, at) => Math.max(top, points.spend[at]), 1);
  const clampX = (value: number) => Math.max(margin.left, Math.min(box.width - margin.right, x(value)));
  const all = shown.map((at): Dot => ({
    row: points.rows[at],
    x: clampX(points.rpc[at]),
    y: y(points.cpc[at]),
    x0: clampX(points.low[at]),
    x1: clampX(points.high[at]),
    radius: 2 + 9 * Math.sqrt(points.spend[at] / most),
    isOver: points.cpc[at] > target * points.rpc[at],
    isThin: points.isThin[at] === 1,
  }));
  const [x0, x1] = x.domain();
  return {
    dots: all,
    ...(all.length <= MOST_DOTS ? { alone: all, swarms: [] } : inSwarms(all)),
    count: all.length,
    over: all.reduce((sum, { isOver }) => sum + (isOver ? 1 : 0), 0),
    line: [x(x0), y(x0 * target), x(x1), y(x1 * target)],
    xTicks: ticks(x.domain()).map((value) => ({ at: x(value), value })),
    yTicks: ticks(y.domain()).map((value) => ({ at: y(value), value })),
    toRpc: (at) => x.invert(at),
    toCpc: (at) => y.invert(at),
    toX: clampX,
    toY: (cpc) => y(cpc),
  };
}

/** The points that can be drawn. */
function drawable({ cpc, rpc }: CutLinePoints): number[] {
  const found: number[] = [];
  for (let at = 0; at < cpc.length; at += 1) if (cpc[at] > 0 && rpc[at] > 0) found.push(at);
  return found;
}

function extent(shown: number[], values: Float64Array): [number, number] {
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

/** The dot nearest to a pointer, within 12 pixels. */
export function nearestDot(dots: Dot[], x: number, y: number): Dot | undefined {
  let best: Dot | undefined;
  let least = 144;
  for (const dot of dots) {
    const distance = (dot.x - x) ** 2 + (dot.y - y) ** 2;
    if (distance < least) [best, least] = [dot, distance];
  }
  return best;
}
