import { setTimeout as sleep } from 'node:timers/promises';
import { addDays, dayNumber, formatCount } from '../../core/units';
import { MowingError } from '../../contract/mowingError';
import { findAccount } from '../../db/queries/accounts';
import {
  accountsDue,
  endJob,
  insertJob,
  keepJobInput,
  retryJob,
  takeJob,
  touchJob,
} from '../../db/queries/jobs';
import type { JobRow } from '../../db/queries/jobs';
import { db, log } from '../context/context';
import { market } from '../market/market';
import { syncAccount } from '../sync/syncAccount';
import type { Progress } from '../sync/syncAccount';

const MOST_TRIES = 6;
const FIRST_PAUSE_S = 3;
const POLL_MS = 300;

/** Runs every job that is due, one after another. Several processes may do so on one database. */
export async function runDueJobs(): Promise<void> {
  for (let job = await takeJob(db()); job !== undefined; job = await takeJob(db())) await run(job);
}

/** Asks for the daily sync of accounts that had none for a day. */
export async function askForDailySyncs(): Promise<void> {
  for (const accountId of await accountsDue(db())) await insertJob(db(), accountId, 'sync', {});
}

async function run(job: JobRow) {
  const tell = (at: Progress) => touchJob(db(), job.jobId, at);
  try {
    const message = job.kind === 'advance' ? await letDaysPass(job, tell) : await sync(job, tell);
    await endJob(db(), job.jobId, 'done', message);
  } catch (error) {
    await fail(job, error);
  }
}

async function fail(job: JobRow, error: unknown) {
  const known = error instanceof MowingError;
  if (!known) log().error({ err: error, job: job.jobId }, 'job failed');
  const told = known ? error.message : 'It failed for a reason that lies with Mowing; the log tells more.';
  const isWorthAnother = known && (error.code === 'market-down' || error.code === 'market-refused');
  if (isWorthAnother && job.tries + 1 < MOST_TRIES)
    await retryJob(db(), job.jobId, FIRST_PAUSE_S * 2 ** job.tries, told);
  else await endJob(db(), job.jobId, 'failed', told);
}

async function sync({ accountId }: JobRow, tell: (at: Progress) => Promise<void>): Promise<string> {
  const { rows, reports, missing } = await syncAccount(accountId, market(), tell);
  const account = (await findAccount(db(), accountId))!;
  const upTo = `Up to date with ${account.marketDay === null ? 'the market' : `the market’s ${addDays(account.marketDay, -1)}`}`;
  const told =
    reports === 0
      ? `${upTo}: nothing was new.`
      : `${upTo}: ${formatCount(rows)} rows from ${formatCount(reports)} reports.`;
  if (missing.length === 0) return told;
  const some = missing.slice(0, 3).join('; ');
  return `${told} The market left out ${formatCount(missing.length)} days (${some}${missing.length > 3 ? ' …' : ''}); they are asked for again at the next sync.`;
}

/** Lets days pass on a simulated market, and takes over what happened. The end is kept, so that a second try does not let more pass. */
async function letDaysPass(job: JobRow, tell: (at: Progress) => Promise<void>): Promise<string> {
  const account = (await findAccount(db(), job.accountId))!;
  if (account.marketId === null)
    throw new MowingError('conflict', `${account.name} is fed by files; no days can pass.`);
  const days = job.input.days ?? 1;
  const { today } = await market().clock(account.marketId);
  const until = job.input.until ?? addDays(today, days);
  if (job.input.until === undefined) await keepJobInput(db(), job.jobId, { ...job.input, until });
  await pass(account.marketId, until, tell);
  const told = await sync(job, tell);
  return `${days} ${days === 1 ? 'day' : 'days'} passed. ${told}`;
}

async function pass(marketId: string, until: string, tell: (at: Progress) => Promise<void>) {
  for (;;) {
    const { today, passing } = await market().clock(marketId);
    const left = dayNumber(until) - dayNumber(today);
    if (left <= 0 && !(passing && passing.done < passing.of)) return;
    const isUnderWay = passing !== null && passing.trouble === '' && passing.done < passing.of;
    if (passing && passing.trouble !== '' && passing.done < passing.of)
      throw new MowingError('market-refused', `The market could not let the days pass: ${passing.trouble}`);
    if (!isUnderWay) await market().advance(marketId, left);
    const of = passing?.of ?? left;
    await tell({ doing: `letting days pass: ${today}`, done: Math.max(0, of - left), total: of });
    await sleep(POLL_MS);
  }
}
