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

/** A row as it lies in the picture. */
export interface Dot {
  row: number;
  x: number;
  y: number;
  /** Ends of the whisker. */
  x0: number;
  x1: number;
  radius: number;
  isOver: boolean;
  isThin: boolean;
}

/** Where values lie, px. */
interface Scales {
  x: (rpc: number) => number;
  y: (cpc: number) => number;
}

const LEAST_RADIUS = 2;
const MORE_RADIUS = 9;
/** The nearest dot is that under a pointer within so many pixels. */
const REACH = 12;

/** All points that can be drawn, in columns: of a hundred thousand, few are ever looked at one by one. */
export class Dots {
  readonly count: number;
  readonly x: Float64Array;
  readonly y: Float64Array;
  /** 1 above the line. */
  readonly isOver: Uint8Array;
  readonly spend: Float64Array;
  private readonly mostSpend: number;

  /** @param shown which of the points @param target target ACOS, share */
  constructor(
    private readonly points: CutLinePoints,
    private readonly shown: Int32Array,
    private readonly scales: Scales,
    target: number,
  ) {
    const { rpc, cpc, spend } = points;
    this.count = shown.length;
    this.x = new Float64Array(this.count);
    this.y = new Float64Array(this.count);
    this.isOver = new Uint8Array(this.count);
    this.spend = new Float64Array(this.count);
    let most = 1;
    for (let index = 0; index < this.count; index += 1) {
      const at = shown[index];
      this.x[index] = scales.x(rpc[at]);
      this.y[index] = scales.y(cpc[at]);
      this.isOver[index] = cpc[at] > target * rpc[at] ? 1 : 0;
      this.spend[index] = spend[at];
      most = Math.max(most, spend[at]);
    }
    this.mostSpend = most;
  }

  /** One of them, by its index. */
  at(index: number): Dot {
    const { points, scales } = this;
    const at = this.shown[index];
    return {
      row: points.rows[at],
      x: this.x[index],
      y: this.y[index],
      x0: scales.x(points.low[at]),
      x1: scales.x(points.high[at]),
      radius: LEAST_RADIUS + MORE_RADIUS * Math.sqrt(this.spend[index] / this.mostSpend),
      isOver: this.isOver[index] === 1,
      isThin: points.isThin[at] === 1,
    };
  }

  /** The dot of a row. */
  of(row: number): Dot | undefined {
    const { rows } = this.points;
    const index = this.shown.findIndex((at) => rows[at] === row);
    return index < 0 ? undefined : this.at(index);
  }

  /** The dot nearest to a pointer, within its reach. */
  nearest(x: number, y: number): Dot | undefined {
    let best = -1;
    let least = REACH ** 2;
    for (let index = 0; index < this.count; index += 1) {
      const distance = (this.x[index] - x) ** 2 + (this.y[index] - y) ** 2;
      if (distance < least) [best, least] = [index, distance];
    }
    return best < 0 ? undefined : this.at(best);
  }
}
