import yauzl from 'yauzl';
import { MowingError } from '../../contract/mowingError';

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
  const zip = await open(file);
  let bytes = 0;
  let entries = 0;
  try {
    await new Promise<void>((resolve, reject) => {
      zip.on('error', () => reject(damaged()));
      zip.on('end', resolve);
      zip.on('entry', (entry: yauzl.Entry) => {
        entries += 1;
        bytes += entry.uncompressedSize;
        const ratio = entry.uncompressedSize / Math.max(1, entry.compressedSize);
        if (entries > MOST_ENTRIES || bytes > MOST_BYTES) return reject(tooLarge(bytes));
        if (entry.uncompressedSize > SUSPECT_BYTES && ratio > MOST_RATIO)
          return reject(tooLarge(entry.uncompressedSize));
        measure(zip, entry).then(() => zip.readEntry(), reject);
      });
      zip.readEntry();
    });
  } finally {
    zip.close();
  }
}

function open(file: string): Promise<yauzl.ZipFile> {
  return new Promise((resolve, reject) =>
    yauzl.open(file, { lazyEntries: true, autoClose: false, validateEntrySizes: true }, (error, zip) =>
      error ? reject(damaged()) : resolve(zip),
    ),
  );
}

/** Unpacks a part without keeping it: the reader stops when it holds more than it says. */
function measure(zip: yauzl.ZipFile, entry: yauzl.Entry): Promise<void> {
  if (entry.fileName.endsWith('/')) return Promise.resolve();
  return new Promise((resolve, reject) =>
    zip.openReadStream(entry, (error, stream) => {
      if (error) return reject(damaged());
      stream.on('error', () => reject(damaged()));
      stream.on('end', resolve);
      stream.resume();
    }),
  );
}

const damaged = () =>
  new MowingError(
    'unreadable-file',
    'The file looks like a spreadsheet but is damaged or was cut off. Nothing was taken in. Save it again as XLSX or CSV.',
  );

const tooLarge = (bytes: number) =>
  new MowingError(
    'too-large',
    `The spreadsheet would unpack to ${Math.round(bytes / 1e6)} MB or more, which no report does. Nothing was taken in. Save it as CSV.`,
  );
