import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import { MowingError } from '../../contract/mowingError';
import { checkArchive } from './checkArchive';
import { workbookLines } from './workbookLines';

/** Largest workbook taken; larger tables go as CSV, which needs no unpacking. */
const MOST_WORKBOOK_BYTES = 200_000_000;

/**
 * A file as text bytes, whether it is CSV, TSV or an XLSX workbook. A workbook is put aside, looked at before it is
 * unpacked, and handed on as CSV.
 * @throws MowingError when a workbook is damaged, too large, or unpacks to more than a table could be
 */
export async function* asText(source: AsyncIterable<Uint8Array>): AsyncGenerator<Uint8Array> {
  const parts = source[Symbol.asyncIterator]();
  const first = await parts.next();
  if (first.done) return;
  const rest: AsyncIterable<Uint8Array> = {
    [Symbol.asyncIterator]: () => {
      let isFirst = true;
      return {
        next: () => {
          if (!isFirst) return parts.next();
          isFirst = false;
          return Promise.resolve(first);
        },
        return: async () => (await parts.return?.()) ?? { done: true, value: undefined },
      };
    },
  };
  if (isArchive(first.value)) yield* unpacked(rest);
  else yield* rest;
}

const isArchive = (bytes: Uint8Array) =>
  bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 3 && bytes[3] === 4;

async function* unpacked(source: AsyncIterable<Uint8Array>): AsyncGenerator<Uint8Array> {
  const folder = await mkdtemp(path.join(tmpdir(), 'mowing-workbook-'));
  const file = path.join(folder, 'book.xlsx');
  try {
    await pipeline(limited(source), createWriteStream(file));
    await checkArchive(file);
    yield* workbookLines(file);
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

async function* limited(source: AsyncIterable<Uint8Array>): AsyncGenerator<Uint8Array> {
  let bytes = 0;
  for await (const part of source) {
    bytes += part.length;
    if (bytes > MOST_WORKBOOK_BYTES)
      throw new MowingError(
        'too-large',
        `The spreadsheet is larger than ${MOST_WORKBOOK_BYTES / 1e6} MB. Nothing was taken in. Save it as CSV, which has no such limit.`,
      );
    yield part;
  }
}
