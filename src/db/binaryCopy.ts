import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { Query } from './connection';

/** A column of a binary COPY: whole numbers of four or eight bytes, or days since 1970. */
export interface CopyColumn {
  name: string;
  type: 'int4' | 'int8' | 'day';
  /** One value for all rows, or one for each. */
  values: number | ArrayLike<number>;
}

const SIGNATURE = Buffer.from('PGCOPY\n\xff\r\n\0\0\0\0\0\0\0\0\0', 'latin1');
const TRAILER = Buffer.from([0xff, 0xff]);
const PIECE_BYTES = 1 << 20;
/** Days from 1970 to 2000, where PostgreSQL counts from. */
const EPOCH_DAYS = 10_957;
const TWO_32 = 4_294_967_296;

/**
 * Copies rows of numbers into a table in PostgreSQL's binary format (COPY BINARY in its manual): nothing is written as
 * text and read again. When it fails, the COPY is given up first: a ROLLBACK behind an open COPY would wait for ever.
 * The rows must break no rule of the table: the driver does not tell what the server finds after the last row.
 * @param rows which rows of the columns, in this order
 */
export async function copyNumbers(
  sql: Query,
  table: string,
  columns: CopyColumn[],
  rows: ArrayLike<number>,
): Promise<void> {
  const names = columns.map(({ name }) => name).join(', ');
  const out =
    await sql`copy ${sql.unsafe(table)} (${sql.unsafe(names)}) from stdin with (format binary)`.writable();
  try {
    await pipeline(Readable.from(pieces(columns, rows)), out);
  } catch (error) {
    out.destroy(error as Error);
    throw error;
  }
}

function* pieces(columns: CopyColumn[], rows: ArrayLike<number>): Generator<Buffer> {
  const rowBytes = 2 + columns.reduce((sum, { type }) => sum + (type === 'int8' ? 12 : 8), 0);
  const perPiece = Math.max(1, Math.floor(PIECE_BYTES / rowBytes));
  yield SIGNATURE;
  for (let from = 0; from < rows.length; from += perPiece) {
    const to = Math.min(rows.length, from + perPiece);
    const piece = Buffer.allocUnsafe((to - from) * rowBytes);
    const view = new DataView(piece.buffer, piece.byteOffset, piece.length);
    let at = 0;
    for (let index = from; index < to; index += 1) at = writeRow(view, at, columns, rows[index]);
    yield piece;
  }
  yield TRAILER;
}

function writeRow(piece: DataView, start: number, columns: CopyColumn[], row: number): number {
  let at = start;
  piece.setInt16(at, columns.length);
  at += 2;
  for (const { type, values } of columns) {
    const value = typeof values === 'number' ? values : values[row];
    if (type === 'int8') {
      const high = Math.floor(value / TWO_32);
      piece.setInt32(at, 8);
      piece.setInt32(at + 4, high);
      piece.setUint32(at + 8, value - high * TWO_32);
      at += 12;
    } else {
      piece.setInt32(at, 4);
      piece.setInt32(at + 4, type === 'day' ? value - EPOCH_DAYS : value);
      at += 8;
    }
  }
  return at;
}
