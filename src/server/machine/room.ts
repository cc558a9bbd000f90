import { mkdir, statfs } from 'node:fs/promises';
import { formatCount } from '../../core/units';
import { MowingError } from '../../contract/mowingError';
import { dataDir } from './dataDir';

/** Below this the machine warns, in bytes: MOWING_LEAST_FREE_MB, 2,000 unless told otherwise. */
export const leastFree = (): number => (Number(process.env.MOWING_LEAST_FREE_MB) || 2000) * 1e6;
/** What a file needs while it is taken in, for each of its bytes: itself, its rows, and the database's log of them. */
const BYTES_PER_BYTE = 4;
/** Left for everybody else whatever comes in. */
const RESERVE_BYTES = 100_000_000;

/** Free bytes on the disk of the data folder. */
export async function freeBytes(): Promise<number> {
  const folder = dataDir();
  await mkdir(folder, { recursive: true });
  const { bavail, bsize } = await statfs(folder);
  return bavail * bsize;
}

/** @param bytes of a file that is to be taken in; null: not known @throws MowingError when the disk has no room for it */
export async function needRoom(bytes: number | null): Promise<void> {
  const free = await freeBytes();
  const needed = (bytes ?? 0) * BYTES_PER_BYTE + RESERVE_BYTES;
  if (free < needed)
    throw new MowingError(
      'no-room',
      `The disk has ${megabytes(free)} free; this file needs about ${megabytes(needed)} while it is taken in. Nothing was taken in. Make room, or set MOWING_DATA_DIR to another disk, and send it again.`,
    );
}

const megabytes = (bytes: number) => `${formatCount(Math.round(bytes / 1e6))} MB`;

/** Whether a failure says that a disk is full: the database's (53100), or a file's. */
export function isDiskFull(error: unknown): boolean {
  const { code } = (error ?? {}) as { code?: string };
  return code === '53100' || code === 'ENOSPC' || code === 'EDQUOT';
}
