import { db } from '../../src/server/context/context';

export const say = (text: string) => process.stdout.write(`${text}\n`);

/** Seconds that some work took, begun from a checkpoint: nobody pays for what the one before left to be written. */
export async function timed<T>(work: () => Promise<T>): Promise<{ seconds: number; value: T }> {
  await db()`checkpoint`;
  const start = performance.now();
  const value = await work();
  return { seconds: (performance.now() - start) / 1000, value };
}

/** The middle one of some times. */
export const median = (seconds: number[]) =>
  [...seconds].sort((a, b) => a - b)[Math.floor(seconds.length / 2)];
