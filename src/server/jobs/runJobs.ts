import { randomUUID } from 'node:crypto';
import { MowingError } from '../../contract/mowingError';
import {
  RENEWED_AFTER_S,
  accountsDue,
  endJob,
  insertJob,
  keepJobInput,
  retryJob,
  takeJob,
  touchJob,
} from '../../db/queries/jobs';
import type { JobRow } from '../../db/queries/jobs';
import { db, log, programNo } from '../context/context';
import { inMoneyOf } from '../context/ownMoney';
import { MOWING, recorded } from '../trail';
import { JOB_KINDS } from './kinds';
import { JobStopped } from './kind';
import type { JobKind } from './kind';

/** How many accounts' jobs a process runs beside one another: MOWING_JOBS_AT_ONCE, two unless told otherwise. */
const atOnce = () => Math.max(1, Number(process.env.MOWING_JOBS_AT_ONCE) || 2);
/** A long step tells nothing for a while: it is the timer that shows that the process lives. */
const HEARTBEAT_MS = 10_000;

let running = 0;

/**
 * Takes jobs that are due and runs them, several accounts' at once, until none is left to take. Several processes may do so on one
 * database. @param kinds those to be run
 */
export async function runDueJobs(kinds: readonly JobKind[] = JOB_KINDS): Promise<void> {
  const names = kinds.map(({ name }) => name);
  const lane = async () => {
    for (;;) {
      const owner = randomUUID();
      const job = await takeJob(db(), owner, await programNo(), names);
      if (job === undefined) return;
      await run(
        job,
        owner,
        kinds.find(({ name }) => name === job.kind)!,
      );
    }
  };
  const lanes: Promise<void>[] = [];
  while (running < atOnce()) {
    running += 1;
    lanes.push(lane().finally(() => (running -= 1)));
  }
  await Promise.all(lanes);
}

/** Asks for the jobs that are due by themselves at an hour of each account's day. */
export async function askForDueJobs(): Promise<void> {
  for (const { name, dailyAt } of JOB_KINDS) {
    if (dailyAt === null) continue;
    for (const accountId of await accountsDue(db(), name, dailyAt))
      await recorded(MOWING, accountId, (tx) => insertJob(tx, accountId, name, {}));
  }
}

async function run(job: JobRow, owner: string, kind: JobKind): Promise<void> {
  let stop: JobStopped | null = null;
  /** Shows that the process lives, and learns whether the job is to stop. */
  const touch = async (at?: Parameters<typeof touchJob>[3]) => {
    const isCancelled = await touchJob(db(), job.jobId, owner, at);
    if (isCancelled === null) stop = new JobStopped('lost', job);
    else if (isCancelled) stop = new JobStopped('cancelled', job);
    if (stop) throw stop;
  };
  const heartbeat = setInterval(() => {
    touch().catch(
      (error: unknown) => error instanceof JobStopped || log().warn({ err: error }, 'no heartbeat'),
    );
  }, HEARTBEAT_MS);
  try {
    await touch();
    if (job.tries >= kind.tries)
      throw new MowingError(
        'internal',
        `It was cut off ${job.tries} times, each time with the program that ran it.`,
      );
    const message = await inMoneyOf(job.accountId, () =>
      kind.run({
        accountId: job.accountId,
        input: job.input,
        tell: touch,
        keepInput: (input) => keepJobInput(db(), job.jobId, owner, input as JobRow['input']),
      }),
    );
    await endJob(db(), job.jobId, owner, 'done', message);
  } catch (error) {
    await fail(job, owner, kind, stop ?? error);
  } finally {
    clearInterval(heartbeat);
  }
}

async function fail(job: JobRow, owner: string, kind: JobKind, error: unknown): Promise<void> {
  if (error instanceof JobStopped) {
    // Whoever has it now ends it.
    if (error.why === 'cancelled')
      await endJob(db(), job.jobId, owner, 'cancelled', 'Cancelled. What was taken over until then stays.');
    return;
  }
  const known = error instanceof MowingError;
  if (!known) log().error({ err: error, job: job.jobId }, 'job failed');
  const told = known ? error.message : 'It failed for a reason that lies with Mowing; the log tells more.';
  const isWorthAnother = known && (error.code === 'market-down' || error.code === 'market-refused');
  if (isWorthAnother && job.tries + 1 < kind.tries)
    await retryJob(db(), job.jobId, owner, kind.firstPauseS * 2 ** job.tries, told);
  else await endJob(db(), job.jobId, owner, 'failed', givenUp(job, kind, told));
}

/** What is said of a job that is not tried again by itself. */
function givenUp({ tries }: JobRow, { dailyAt }: JobKind, why: string): string {
  const after = tries > 0 ? `Given up after ${tries + 1} tries. ` : '';
  const next =
    dailyAt === null
      ? 'What was done until then stays; ask for it again to go on from there.'
      : `It is asked for again by itself ${RENEWED_AFTER_S / 60} minutes after this, or at once when you ask.`;
  return `${after}${why} ${next}`;
}
