import { insertJob } from '../../../db/queries/jobs';
import { listRules } from '../../../db/queries/rules';
import { db } from '../../context/context';
import { runNight } from '../../standing/runNight';
import type { JobKind } from '../kind';
import { askToTell } from './hook';

/** The night of an account's rules, after its sync. */
export const standing: JobKind = {
  name: 'standing',
  tries: 6,
  firstPauseS: 30,
  dailyAt: null,
  run: async ({ accountId, tell }) => {
    const { words } = await runNight(accountId, {
      tell: (doing, done, total) => tell({ doing, done, total }),
    });
    await askToTell(accountId);
    return words;
  },
};

/** Asks for the night of an account that has rules. */
export async function askForNight(accountId: number): Promise<void> {
  if ((await listRules(db(), accountId)).some(({ isOn }) => isOn))
    await insertJob(db(), accountId, standing.name, {});
}
