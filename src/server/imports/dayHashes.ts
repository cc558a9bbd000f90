import { dayFromNumber } from '../../core/units';
import type { DayHash } from '../../db/queries/keptDays';
import type { SegmentRows } from './segmentWriter';

const TWO_32 = 4_294_967_296;

/** Two sums of 32 bits each, over hashes of rows: in whatever order rows come, equal rows come to the same. */
interface Lanes {
  rows: number;
  low: number;
  high: number;
}

/** What the rows of a file come to, by day. Rows are told by our ids: the same texts in a file that is written in another way are the same rows. */
export class DayHashes {
  private readonly days = new Map<number, Lanes>();
  private low = 0;
  private high = 0;

  /** Counts a row of a segment, whose place and detail are our ids. */
  add(rows: SegmentRows, row: number): void {
    const lanes = this.lanesOf(rows.day[row]);
    this.hash(rows, row);
    lanes.rows += 1;
    lanes.low = (lanes.low + this.low) >>> 0;
    lanes.high = (lanes.high + this.high) >>> 0;
  }

  /** Takes a row back that was counted and is not kept. */
  take(rows: SegmentRows, row: number): void {
    const lanes = this.lanesOf(rows.day[row]);
    this.hash(rows, row);
    lanes.rows -= 1;
    lanes.low = (lanes.low - this.low) >>> 0;
    lanes.high = (lanes.high - this.high) >>> 0;
  }

  /** What the rows of a day, in days since 1970, come to. */
  of(day: number): DayHash {
    const { rows, low, high } = this.lanesOf(day);
    return { rows, hash: BigInt.asIntN(64, (BigInt(high) << 32n) | BigInt(low)).toString() };
  }

  /** Of several days, by their names; left out: those without rows. */
  ofAll(days: Iterable<number>): Map<string, DayHash> {
    const all = [...days].map((day): [string, DayHash] => [dayFromNumber(day), this.of(day)]);
    return new Map(all.filter(([, { rows }]) => rows > 0));
  }

  private lanesOf(day: number): Lanes {
    let lanes = this.days.get(day);
    if (lanes === undefined) this.days.set(day, (lanes = { rows: 0, low: 0, high: 0 }));
    return lanes;
  }

  private hash({ place, detail, figures }: SegmentRows, row: number) {
    this.low = 0x2545f491;
    this.high = 0x6c078965;
    this.mix(place[row]);
    this.mix(detail[row]);
    for (const column of figures) {
      const value = column[row];
      this.mix(value);
      if (value >= TWO_32) this.mix(value / TWO_32);
    }
    this.low = spread(this.low);
    this.high = spread(this.high);
  }

  private mix(value: number) {
    const word = value | 0;
    this.low = Math.imul(this.low ^ word, 0x9e3779b1);
    this.low ^= this.low >>> 15;
    this.high = Math.imul(this.high ^ word, 0x85ebca77);
    this.high ^= this.high >>> 13;
  }
}

/** Lets every bit of a hash count for every other: sums of hashes that differ in one bit differ in all. */
function spread(hash: number): number {
  let value = Math.imul(hash ^ (hash >>> 16), 0x7feb352d);
  value = Math.imul(value ^ (value >>> 15), 0x846ca68b);
  return (value ^ (value >>> 16)) >>> 0;
}
