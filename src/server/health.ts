import { setTimeout as sleep } from 'node:timers/promises';
import { version } from '../../package.json';
import type { Health } from '../contract/api';
import { formatCount, formatFullDay } from '../core/units';
import { databaseTime } from '../db/queries/health';
import { db } from './context/context';
import { clockTrouble } from './machine/clock';
import { lastBackup } from './machine/lastBackup';
import { memoryTrouble } from './machine/memory';
import { freeBytes, leastFree } from './machine/room';
import { market } from './market/market';

/** Whoever does not answer within this is down: who asks wants to know now. */
const ANSWER_WITHIN_MS = 3000;

/** Whether the application, its database and its market answer, and what will be in want soon. Answers within a few seconds, whatever hangs. */
export async function loadHealth(): Promise<Health> {
  const [databaseNow, isMarketUp, backup, free] = await Promise.all([
    soon(databaseTime(db()), null),
    soon(market().isUp(), false),
    soon(lastBackup(), null),
    soon(
      freeBytes().catch(() => null),
      null,
    ),
  ]);
  const isDatabaseUp = databaseNow !== null;
  const word = (isWell: boolean) => (isWell ? 'ok' : 'down');
  const isLow = free !== null && free < leastFree();
  return {
    ok: isDatabaseUp && isMarketUp,
    version,
    database: word(isDatabaseUp),
    market: word(isMarketUp),
    freeMegabytes: free === null ? null : Math.round(free / 1e6),
    lastBackup: backup?.toISOString() ?? null,
    warnings: [
      isLow ? lowDisk(free) : null,
      memoryTrouble(),
      clockTrouble(databaseNow),
      isOld(backup) ? oldBackup(backup!) : null,
    ].filter((warning) => warning !== null),
  };
}

const lowDisk = (free: number) =>
  `The disk of the data folder has ${formatCount(Math.round(free / 1e6))} MB left. Make room: without it imports are refused, and the database stops.`;

/** A night that was missed is no trouble yet; two are. */
const OLD_MS = 2.5 * 24 * 3_600_000;
const isOld = (backup: Date | null) => backup !== null && Date.now() - backup.getTime() > OLD_MS;

const oldBackup = (at: Date) =>
  `The last nightly backup is of ${formatFullDay(at.toISOString().slice(0, 10))}. Look at what Mowing’s starter says, and at the room on its disk.`;

const soon = <T>(answer: Promise<T>, otherwise: T): Promise<T> =>
  Promise.race([answer, sleep(ANSWER_WITHIN_MS, otherwise, { ref: false })]);
