import type yauzl from 'yauzl';
import { MowingError } from '../../contract/mowingError';
import { damaged, eachEntry, openZip, readEntry } from './workbook/archive';

/** Most that a workbook may unpack to, in bytes and in parts. */
const MOST_BYTES = 600_000_000;
const MOST_ENTRIES = 5_000;
/** A part larger than this that was packed more than so many times over is no table. */
const SUSPECT_BYTES = 20_000_000;
const MOST_RATIO = 200;

/**
 * Looks at a workbook before it is unpacked: how large its parts say they are, and whether they are. What unpacks to more
 * than a table could be is refused.
 * @throws MowingError 'too-large' or 'unreadable-file'
 */
export async function checkArchive(file: string): Promise<void> {
  const zip = await openZip(file);
  let bytes = 0;
  let entries = 0;
  try {
    await eachEntry(zip, async (entry) => {
      entries += 1;
      bytes += entry.uncompressedSize;
      const ratio = entry.uncompressedSize / Math.max(1, entry.compressedSize);
      if (entries > MOST_ENTRIES || bytes > MOST_BYTES) throw tooLarge(bytes);
      if (entry.uncompressedSize > SUSPECT_BYTES && ratio > MOST_RATIO)
        throw tooLarge(entry.uncompressedSize);
      if (!entry.fileName.endsWith('/')) await measure(zip, entry);
    });
  } finally {
    zip.close();
  }
}

/** Unpacks a part without keeping it. */
async function measure(zip: yauzl.ZipFile, entry: yauzl.Entry): Promise<void> {
  const stream = await readEntry(zip, entry);
  await new Promise<void>((resolve, reject) => {
    stream.on('error', () => reject(damaged()));
    stream.on('end', resolve);
    stream.resume();
  });
}

const tooLarge = (bytes: number) =>
  new MowingError(
    'too-large',
    `The spreadsheet would unpack to ${Math.round(bytes / 1e6)} MB or more, which no report does. Nothing was taken in. Save it as CSV.`,
  );
