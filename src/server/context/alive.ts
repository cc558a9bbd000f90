import { setTimeout as sleep } from 'node:timers/promises';
import type { Db } from '../../db/connection';
import { showAlive, takeProgramNo } from '../../db/queries/programs';

/** How a program shows the others on its database that it lives. */
export interface Alive {
  no: Promise<number>;
  end: () => Promise<void>;
}

const AGAIN_AFTER_MS = 500;

/**
 * Takes a number and holds its lock on a connection of its own. What this program is at (a bale, an import, a job) carries the number, so
 * that others know at once when it was killed. A connection that is lost is opened anew with the same number.
 * @param open opens a pool of one connection; told when that connection is lost
 */
export function showThatAlive(open: (onLost: () => void) => Db): Alive {
  let isEnding = false;
  let no: number | undefined;
  const hold = async () => {
    while (!isEnding)
      try {
        return await showAlive(client, no!);
      } catch {
        await sleep(AGAIN_AFTER_MS);
      }
  };
  const client = open(() => {
    if (!isEnding && no !== undefined) void hold();
  });
  const begin = async () => {
    no = await takeProgramNo(client);
    await showAlive(client, no);
    return no;
  };
  return {
    no: begin(),
    end: async () => {
      isEnding = true;
      await client.end({ timeout: 5 });
    },
  };
}
