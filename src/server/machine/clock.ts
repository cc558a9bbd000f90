import { formatCount } from '../../core/units';

/** The clock is set right by some seconds all the time; more than this is a jump, ms. */
const JUMP_MS = 60_000;
/** How long a jump is told, ms of a clock that only runs on. */
const TOLD_MS = 3_600_000;

interface Jump {
  by: number;
  seenAt: number;
}

// Kept on the process: the pages' build and the program around it are two bundles; one looks, the other tells.
const KEY = Symbol.for('mowing.clock');
const keeper = globalThis as unknown as Record<symbol, { offset?: number; last: Jump | null } | undefined>;
const seen = (keeper[KEY] ??= { last: null });

/** Looks whether the machine's clock ran as long as time did since the last look; called every so often. */
export function lookAtClock(now = Date.now(), running = performance.now()): void {
  const present = now - running;
  const by = seen.offset === undefined ? 0 : present - seen.offset;
  seen.offset = present;
  if (Math.abs(by) > JUMP_MS) seen.last = { by, seenAt: running };
}

/**
 * What is to be told of the clocks; null: nothing.
 * @param databaseNow the database's time, ms; null where it is not known
 */
export function clockTrouble(
  databaseNow: number | null,
  now = Date.now(),
  running = performance.now(),
): string | null {
  lookAtClock(now, running);
  const apart = databaseNow === null ? 0 : now - databaseNow;
  if (Math.abs(apart) > JUMP_MS)
    return `The clocks of this machine and of its database are ${spanWords(apart)} apart. Set them right: days, due times and sign-ins go by both.`;
  const { last } = seen;
  if (last && running - last.seenAt < TOLD_MS)
    return `The clock of this machine went ${last.by > 0 ? 'forward' : 'back'} by ${spanWords(last.by)}: it was set, or the machine slept. Look whether its time is right: days and due times go by it.`;
  return null;
}

function spanWords(ms: number): string {
  const minutes = Math.round(Math.abs(ms) / 60_000);
  return minutes < 120
    ? `${formatCount(Math.max(1, minutes))} min`
    : `${formatCount(Math.round(minutes / 60))} h`;
}
