import { mkdir, open, unlink } from 'node:fs/promises';
import type { FileHandle } from 'node:fs/promises';
import { randomUUID } from 'node:crypto';
import path from 'node:path';
import { dataDir } from '../machine/dataDir';
import type { SegmentRows } from './segmentWriter';

const WHOLE = ['line', 'day', 'place', 'detail'] as const;

/**
 * Rows that wait on the disk, so that memory stays constant. The file has no name any more once it is open: a program that is killed
 * leaves nothing.
 */
export class RowSpool {
  private file: FileHandle | null = null;
  private end = 0;
  private readonly blocks: { at: number; rows: number }[] = [];
  private readonly figures: number;

  /** @param figures how many columns of figures the rows have */
  constructor(figures: number) {
    this.figures = figures;
  }

  /** Puts some of a segment's rows behind those that are here. */
  async append(segment: SegmentRows, rows: ArrayLike<number>): Promise<void> {
    this.file ??= await openNameless();
    const block = emptyBlock(rows.length, this.figures);
    for (let at = 0; at < rows.length; at += 1) {
      const row = rows[at];
      for (const name of WHOLE) block.rows[name][at] = segment[name][row];
      for (let figure = 0; figure < this.figures; figure += 1)
        block.rows.figures[figure][at] = segment.figures[figure][row];
    }
    await this.file.write(block.bytes, 0, block.bytes.length, this.end);
    this.blocks.push({ at: this.end, rows: rows.length });
    this.end += block.bytes.length;
  }

  /** All rows, in the parts in which they came. */
  async *read(): AsyncGenerator<SegmentRows> {
    for (const { at, rows } of this.blocks) {
      const block = emptyBlock(rows, this.figures);
      await this.file!.read(block.bytes, 0, block.bytes.length, at);
      yield block.rows;
    }
  }

  /** Gives the room on the disk back. */
  async close(): Promise<void> {
    await this.file?.close();
    this.file = null;
  }
}

async function openNameless(): Promise<FileHandle> {
  const folder = path.join(dataDir(), 'waiting');
  await mkdir(folder, { recursive: true });
  const name = path.join(folder, randomUUID());
  const file = await open(name, 'wx+', 0o600);
  await unlink(name);
  return file;
}

/** Columns that lie one behind the other in the same bytes. */
function emptyBlock(rows: number, figures: number): { bytes: Uint8Array; rows: SegmentRows } {
  const buffer = new ArrayBuffer(rows * (figures * 8 + WHOLE.length * 4));
  const whole = (at: number) => new Int32Array(buffer, rows * (figures * 8 + at * 4), rows);
  return {
    bytes: new Uint8Array(buffer),
    rows: {
      rows,
      figures: Array.from({ length: figures }, (_, at) => new Float64Array(buffer, rows * at * 8, rows)),
      line: whole(0),
      day: whole(1),
      place: whole(2),
      detail: whole(3),
    },
  };
}
