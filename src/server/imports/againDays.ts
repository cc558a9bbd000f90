import { dayFromNumber } from '../../core/units';
import type { Transaction } from '../../db/connection';
import { countRows, noteKeptDays } from '../../db/queries/keptDays';
import type { DayHash } from '../../db/queries/keptDays';
import type { FactTable } from '../../db/queries/factTables';
import type { DayHashes } from './dayHashes';
import { RowSpool } from './rowSpool';
import type { SegmentRows } from './segmentWriter';

/**
 * Rows of days that have rows already wait until the file is through: only then is it known whether it says the same of a day as it said
 * before. Days of which it does are passed over; the others are merged, row by row.
 */
export class AgainDays {
  private readonly tx: Transaction;
  private readonly accountId: number;
  private readonly kind: string;
  private readonly table: FactTable;
  private readonly waiting: RowSpool;
  /** The days, each with what its rows come to; null where that is not known. */
  private readonly known = new Map<number, DayHash | null>();

  constructor(tx: Transaction, accountId: number, kind: string, table: FactTable) {
    this.tx = tx;
    this.accountId = accountId;
    this.kind = kind;
    this.table = table;
    this.waiting = new RowSpool(table.figures.length);
  }

  /** Tells of a day that has rows already. */
  meet(day: number, known: DayHash | null): void {
    this.known.set(day, known);
  }

  /** Keeps rows of a segment waiting. */
  async put(segment: SegmentRows, rows: ArrayLike<number>): Promise<void> {
    if (rows.length > 0) await this.waiting.append(segment, rows);
  }

  /**
   * Merges the rows of days that differ.
   * @param hashes what the file's rows come to
   * @returns how many rows of the file were passed over: they are here already
   */
  async merge(
    hashes: DayHashes,
    mergeRows: (rows: SegmentRows, which: number[]) => Promise<void>,
  ): Promise<number> {
    const { tx, accountId, kind, table, known } = this;
    const days = [...known.keys()];
    const isSame = (day: number) => {
      const before = known.get(day);
      const now = hashes.of(day);
      return before?.rows === now.rows && before.hash === now.hash;
    };
    const passed = days.filter(isSame).reduce((sum, day) => sum + hashes.of(day).rows, 0);
    const differing = new Set(days.filter((day) => !isSame(day)));
    if (differing.size === 0) return passed;
    for await (const rows of this.waiting.read()) {
      const which: number[] = [];
      for (let row = 0; row < rows.rows; row += 1) if (differing.has(rows.day[row])) which.push(row);
      if (which.length > 0) await mergeRows(rows, which);
    }
    // A day that has no row beside the file's is what the file says of it. Of others nothing is known.
    const counts = await countRows(tx, accountId, table, [...differing].map(dayFromNumber));
    const toldOf = (day: number): [string, DayHash | null] => {
      const [name, now] = [dayFromNumber(day), hashes.of(day)];
      return [name, counts.get(name) === now.rows ? now : null];
    };
    await noteKeptDays(tx, accountId, kind, new Map([...differing].map(toldOf)));
    return passed;
  }

  close(): Promise<void> {
    return this.waiting.close();
  }
}
