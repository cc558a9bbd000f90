import { availableMemory } from 'node:process';
import { formatCount } from '../../core/units';
import { MowingError } from '../../contract/mowingError';

/** Below this the machine warns, in bytes: MOWING_LEAST_MEMORY_MB, 400 unless told otherwise. */
const least = (): number => (Number(process.env.MOWING_LEAST_MEMORY_MB) || 400) * 1e6;
/** Below this share of it no file is taken in: its rows need about as much. */
const STOPS_AT = 0.5;

/** What is to be told of the memory that programs may still take; null: nothing. */
export function memoryTrouble(): string | null {
  const free = availableMemory();
  if (free >= least()) return null;
  return `The machine has ${megabytes(free)} of memory left. Close what else runs there, or give it more${free < least() * STOPS_AT ? ': until then no imports are taken' : ''}.`;
}

/** @throws MowingError where there is too little memory for taking in a file */
export function needMemory(): void {
  const free = availableMemory();
  if (free < least() * STOPS_AT)
    throw new MowingError(
      'no-room',
      `The machine has ${megabytes(free)} of memory left, too little for a file. Nothing was taken in. Close what else runs there, and send it again.`,
    );
}

const megabytes = (bytes: number) => `${formatCount(Math.round(bytes / 1e6))} MB`;
