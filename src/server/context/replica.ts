import { setTimeout as sleep } from 'node:timers/promises';
import type { Db } from '../../db/connection';
import { hasReplayed, writtenUpTo } from '../../db/queries/replication';

/** A copy of the database that follows it (DATABASE_READ_URL): what only reads works there. */
export interface Replica {
  sql: Db;
  /** Whether it shows everything that was written up to now, by whichever program; waits a little for it. */
  hasCaughtUp: () => Promise<boolean>;
  /** It failed: for a while nothing is asked of it. */
  rest: (error: unknown) => void;
}

/** A copy lags by milliseconds; one that lags by more is passed by. */
const PATIENCE_MS = 400;
const FIRST_WAIT_MS = 2;
/** What does not answer is not asked again for so long. */
const REST_MS = 3000;

/** @param onTrouble told, once a rest, why the database itself is read instead */
export function followedBy(primary: Db, sql: Db, onTrouble: (error: unknown) => void): Replica {
  let restsUntil = 0;
  const rest = (error: unknown) => {
    restsUntil = performance.now() + REST_MS;
    onTrouble(error);
  };
  const waitFor = async (place: string): Promise<boolean> => {
    const end = performance.now() + PATIENCE_MS;
    for (let wait = FIRST_WAIT_MS; ; wait *= 2) {
      if (await hasReplayed(sql, place)) return true;
      if (performance.now() + wait > end) return false;
      await sleep(wait);
    }
  };
  const hasCaughtUp = async () => {
    if (performance.now() < restsUntil) return false;
    const place = await writtenUpTo(primary);
    try {
      const late = sleep(2 * PATIENCE_MS, false, { ref: false });
      if (await Promise.race([waitFor(place), late])) return true;
      rest(new Error(`The copy is behind by more than ${PATIENCE_MS} ms.`));
    } catch (error) {
      rest(error);
    }
    return false;
  };
  return { sql, hasCaughtUp, rest };
}

/** Whether the copy is why a reading failed: it is gone, replays what the reading looked at, or was asked to write. The database itself is asked then. */
export const isOfReplica = (error: unknown): boolean =>
  /CONN|^57P0|^08|^40001$|^40P01$|^25006$/.test(String((error as { code?: unknown }).code ?? ''));
