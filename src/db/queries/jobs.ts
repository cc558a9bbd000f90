import type { Query } from '../connection';
import { isGone } from './programs';

export type JobState = 'waiting' | 'running' | 'done' | 'failed' | 'cancelled';

export interface JobRow {
  jobId: number;
  accountId: number;
  /** See the registry of kinds. */
  kind: string;
  input: Record<string, unknown>;
  state: JobState;
  doing: string;
  done: number;
  total: number;
  tries: number;
  message: string;
  by: string;
  cancelAsked: boolean;
  askedAt: string;
  startedAt: string | null;
  finishedAt: string | null;
  nextTryAt: string;
}

const columns = (sql: Query) => sql`
  job_id as "jobId", account_id as "accountId", kind, input, state, doing, done, total, tries, message, by_caller as by,
  cancel_asked as "cancelAsked", asked_at as "askedAt", started_at as "startedAt", finished_at as "finishedAt", next_try_at as "nextTryAt"`;

/** Without a sign of life for so long a job may be taken over. */
const DEAD_AFTER_S = 60;

/** Asks for a job. Null when one of that kind waits or runs already. */
export async function insertJob(
  sql: Query,
  accountId: number,
  kind: string,
  input: JobRow['input'],
): Promise<number | null> {
  const rows = await sql<{ id: number }[]>`
    insert into mowing.job (account_id, kind, input) values (${accountId}, ${kind}, ${sql.json(input as never)})
    on conflict do nothing returning job_id as id`;
  return rows[0]?.id ?? null;
}

/**
 * Takes the next job that is due, for an owner that nobody else is. One whose process gives no sign of life is taken over. An account's
 * jobs run one after another; several accounts' beside one another.
 * One that is taken over has used up a try.
 * @param program its number: when that ends, the job is taken over at once
 * @param kinds those that this program knows
 */
export async function takeJob(
  sql: Query,
  owner: string,
  program: number,
  kinds: readonly string[],
): Promise<JobRow | undefined> {
  const isDead = (
    job: string,
  ) => sql`(${sql(`${job}.touched_at`)} < now() - interval '1 second' * ${DEAD_AFTER_S}
    or ${isGone(sql, `${job}.program_no`)})`;
  const rows = await sql<JobRow[]>`
    update mowing.job set state = 'running', owner = ${owner}, program_no = ${program}, started_at = coalesce(started_at, now()),
      touched_at = now(), tries = case state when 'running' then tries + 1 else tries end
    where job_id = (
      select j.job_id from mowing.job j
      where j.kind = any(${kinds})
        and ((j.state = 'waiting' and j.next_try_at <= now()) or (j.state = 'running' and ${isDead('j')}))
        and not exists (select from mowing.job o where o.account_id = j.account_id and o.job_id <> j.job_id
                        and o.state = 'running' and not ${isDead('o')})
        and not exists (select from mowing.job o where o.account_id = j.account_id and o.job_id < j.job_id
                        and o.state = 'waiting' and o.next_try_at <= now())
      order by j.next_try_at, j.job_id limit 1 for update skip locked
    )
    returning ${columns(sql)}`;
  return rows[0];
}

/**
 * A sign of life, and how far the job is.
 * @returns whether it is to stop; null when the job has another owner by now
 */
export async function touchJob(
  sql: Query,
  jobId: number,
  owner: string,
  at?: { doing: string; done: number; total: number },
): Promise<boolean | null> {
  const told = at ? sql`doing = ${at.doing}, done = ${at.done}, total = ${at.total},` : sql``;
  const rows = await sql<{ cancelAsked: boolean }[]>`
    update mowing.job set ${told} touched_at = now()
    where job_id = ${jobId} and owner = ${owner} and state = 'running' returning cancel_asked as "cancelAsked"`;
  return rows[0]?.cancelAsked ?? null;
}

export async function keepJobInput(
  sql: Query,
  jobId: number,
  owner: string,
  input: JobRow['input'],
): Promise<void> {
  await sql`update mowing.job set input = ${sql.json(input as never)} where job_id = ${jobId} and owner = ${owner}`;
}

/** Ends a job; only its owner does. @returns whether it was the owner */
export async function endJob(
  sql: Query,
  jobId: number,
  owner: string,
  state: 'done' | 'failed' | 'cancelled',
  message: string,
): Promise<boolean> {
  const { count } = await sql`
    update mowing.job set state = ${state}, message = ${message}, finished_at = now(), touched_at = now(), owner = null
    where job_id = ${jobId} and owner = ${owner} and state = 'running'`;
  return count > 0;
}

/** Puts a job that failed back into the queue; only its owner does. */
export async function retryJob(
  sql: Query,
  jobId: number,
  owner: string,
  afterSeconds: number,
  message: string,
): Promise<void> {
  await sql`
    update mowing.job set state = 'waiting', tries = tries + 1, message = ${message}, touched_at = now(), owner = null,
      next_try_at = now() + make_interval(secs => ${afterSeconds})
    where job_id = ${jobId} and owner = ${owner} and state = 'running'`;
}

/** Has a job stop: one that waits at once, one that runs before its next step. @returns its state then; undefined when it has ended, or is none */
export async function askToCancel(
  sql: Query,
  accountId: number,
  jobId: number,
): Promise<'cancelled' | 'running' | undefined> {
  const rows = await sql<{ state: 'cancelled' | 'running' }[]>`
    update mowing.job set cancel_asked = true, state = case state when 'waiting' then 'cancelled' else state end,
      finished_at = case state when 'waiting' then now() end, message = case state when 'waiting' then 'Cancelled before it began.' else message end
    where account_id = ${accountId} and job_id = ${jobId} and state in ('waiting', 'running') returning state`;
  return rows[0]?.state;
}

/** The latest jobs of an account, newest first. */
export async function listJobs(sql: Query, accountId: number, most = 10): Promise<JobRow[]> {
  return sql<JobRow[]>`
    select ${columns(sql)} from mowing.job where account_id = ${accountId} order by job_id desc limit ${most}`;
}

/** A daily job that failed is asked for again so long after. */
export const RENEWED_AFTER_S = 3600;

/**
 * Connected accounts that are due for a job of a kind that runs daily at an hour of theirs: none of it waits or runs, and since that hour
 * last struck in the account's time zone none was done (or cancelled: somebody did not want it). A job that failed does not count
 * as done, nor do the days that came in on its way; it comes again after a while.
 */
export async function accountsDue(sql: Query, kind: string, hour: number): Promise<number[]> {
  const rows = await sql<{ id: number }[]>`
    select a.account_id as id from mowing.account a,
      lateral (select date_trunc('day', now() at time zone a.time_zone) + make_interval(hours => ${hour}) as today) h,
      lateral (select (case when h.today <= now() at time zone a.time_zone then h.today else h.today - interval '1 day' end)
        at time zone a.time_zone as struck) d,
      lateral (select bool_or(j.state in ('waiting', 'running')) as is_on,
          bool_or(j.state in ('done', 'cancelled') and coalesce(j.finished_at, j.asked_at) >= d.struck) as is_over,
          max(j.finished_at) filter (where j.state = 'failed' and j.finished_at >= d.struck) as failed_at
        from mowing.job j where j.account_id = a.account_id and j.kind = ${kind}) j
    where a.market_id is not null and a.market_day is not null
      and not coalesce(j.is_on, false) and not coalesce(j.is_over, false)
      and case when j.failed_at is null
        then not exists (select from mowing.sync_day s where s.account_id = a.account_id and s.synced_at >= d.struck)
        else j.failed_at < now() - make_interval(secs => ${RENEWED_AFTER_S}) end`;
  return rows.map(({ id }) => id);
}

/** Whether figures of an account are coming in from its market. */
export async function isSyncing(sql: Query, accountId: number): Promise<boolean> {
  const [{ some }] = await sql<[{ some: boolean }]>`
    select exists (select from mowing.job where account_id = ${accountId} and state = 'running' and kind in ('sync', 'advance')) as some`;
  return some;
}

/** How many jobs wait, run, or failed at their last try in the week before, by kind. */
export async function countJobs(sql: Query): Promise<{ kind: string; state: string; count: number }[]> {
  return sql`
    select kind, state, count(*)::integer as count from mowing.job
    where state in ('waiting', 'running') or (state = 'failed' and finished_at > now() - interval '7 days') group by kind, state`;
}
