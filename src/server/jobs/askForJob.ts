import { MowingError } from '../../contract/mowingError';
import { askToCancel, insertJob } from '../../db/queries/jobs';
import type { JobRow } from '../../db/queries/jobs';
import { needAccount } from '../accounts/accounts';
import { recorded } from '../trail';
import type { Caller } from '../trail';

/** Asks for a job. @throws MowingError when one of its kind waits or runs, or the account has no market */
export async function askForJob(
  caller: Caller,
  accountId: number,
  kind: string,
  input: JobRow['input'],
): Promise<{ jobId: number }> {
  const account = await needAccount(accountId);
  if (account.marketId === null)
    throw new MowingError('conflict', `${account.name} is fed by files; it has no market to fetch from.`);
  return recorded(caller, accountId, async (tx, note) => {
    const jobId = await insertJob(tx, accountId, kind, input);
    if (jobId === null) throw new MowingError('conflict', 'That is under way already.');
    note({ what: `ask for ${kind}`, subject: `job ${jobId}`, to: input });
    return { jobId };
  });
}

/** Has a job stop. @throws MowingError when it has ended already, or is none of the account's */
export async function cancelJob(
  caller: Caller,
  accountId: number,
  jobId: number,
): Promise<{ state: 'cancelled' | 'running' }> {
  await needAccount(accountId);
  return recorded(caller, accountId, async (tx, note) => {
    const state = await askToCancel(tx, accountId, jobId);
    if (!state) throw new MowingError('conflict', 'There is nothing to cancel: it has ended already.');
    note({ what: 'cancel', subject: `job ${jobId}` });
    return { state };
  });
}
