import type { Readable } from 'node:stream';
import yauzl from 'yauzl';
import { MowingError } from '../../../contract/mowingError';

/** A packed file, open for reading: its parts are unpacked one at a time, and none is kept. */
export interface Archive {
  has: (name: string) => boolean;
  /** The unpacked bytes of a part. @throws MowingError when there is no such part, or it is damaged */
  part: (name: string) => Promise<Readable>;
  close: () => void;
}

/** Opens a packed file. @throws MowingError when its list of parts cannot be read */
export async function openArchive(file: string): Promise<Archive> {
  const zip = await openZip(file);
  const entries = new Map<string, yauzl.Entry>();
  await eachEntry(zip, (entry) => {
    entries.set(entry.fileName, entry);
    return Promise.resolve();
  });
  return {
    has: (name) => entries.has(name),
    part: (name) => {
      const entry = entries.get(name);
      return entry ? readEntry(zip, entry) : Promise.reject(damaged());
    },
    close: () => zip.close(),
  };
}

/** The packed file itself. Close it. @throws MowingError when it is none */
export function openZip(file: string): Promise<yauzl.ZipFile> {
  return new Promise((resolve, reject) =>
    yauzl.open(file, { lazyEntries: true, autoClose: false, validateEntrySizes: true }, (error, zip) =>
      error ? reject(damaged()) : resolve(zip),
    ),
  );
}

/** Hands on the entries of a packed file, each when the one before is done with. */
export function eachEntry(zip: yauzl.ZipFile, take: (entry: yauzl.Entry) => Promise<void>): Promise<void> {
  return new Promise((resolve, reject) => {
    zip.on('error', () => reject(damaged()));
    zip.on('end', resolve);
    zip.on('entry', (entry: yauzl.Entry) => {
      take(entry).then(() => zip.readEntry(), reject);
    });
    zip.readEntry();
  });
}

/** The bytes of an entry; the reader stops when it holds more than it says. */
export function readEntry(zip: yauzl.ZipFile, entry: yauzl.Entry): Promise<Readable> {
  return new Promise((resolve, reject) =>
    zip.openReadStream(entry, (error, stream) => (error ? reject(damaged()) : resolve(stream))),
  );
}

export const damaged = () =>
  new MowingError(
    'unreadable-file',
    'The file looks like a spreadsheet but is damaged or was cut off. Nothing was taken in. Save it again as XLSX or CSV.',
  );
