import { insertJob } from '../../../db/queries/jobs';
import { readHook } from '../../../db/queries/hooks';
import { db } from '../../context/context';
import { tellNights } from '../../standing/hook/hook';
import type { JobKind } from '../kind';

/** Tells what nights did to the address that was set for it; tried again with pauses. */
export const hook: JobKind = {
  name: 'hook',
  tries: 8,
  firstPauseS: 20,
  dailyAt: null,
  run: async ({ accountId, tell }) => {
    await tell({ doing: 'telling the night', done: 0, total: 1 });
    return (await tellNights(accountId)) ?? 'Nothing was to be told.';
  },
};

/** Asks for the telling of what the last night did, where somebody wants to know. */
export async function askToTell(accountId: number): Promise<void> {
  if ((await readHook(db(), accountId)).hook !== null) await insertJob(db(), accountId, hook.name, {});
}
