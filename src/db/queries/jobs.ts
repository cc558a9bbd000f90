import type { Query } from '../connection';

export type JobKind = 'sync' | 'advance';
export type JobState = 'waiting' | 'running' | 'done' | 'failed';

export interface JobRow {
  jobId: number;
  accountId: number;
  kind: JobKind;
  input: { days?: number; until?: string };
  state: JobState;
  doing: string;
  done: number;
  total: number;
  tries: number;
  message: string;
  askedAt: string;
  startedAt: string | null;
  finishedAt: string | null;
  nextTryAt: string;
}

const columns = (sql: Query) => sql`
  job_id as "jobId", account_id as "accountId", kind, input, state, doing, done, total, tries, message, asked_at as "askedAt",
  started_at as "startedAt", finished_at as "finishedAt", next_try_at as "nextTryAt"`;

/** Asks for a job. Null when one of that kind waits or runs already. */
export async function insertJob(
  sql: Query,
  accountId: number,
  kind: JobKind,
  input: JobRow['input'],
): Promise<number | null> {
  const rows = await sql<{ id: number }[]>`
    insert into mowing.job (account_id, kind, input) values (${accountId}, ${kind}, ${sql.json(input as never)})
    on conflict do nothing returning job_id as id`;
  return rows[0]?.id ?? null;
}

/**
 * Takes the next job that is due. One whose process ended is taken over a minute after its last sign of life.
 * One account has one job running at a time.
 */
export async function takeJob(sql: Query): Promise<JobRow | undefined> {
  const rows = await sql<JobRow[]>`
    update mowing.job set state = 'running', started_at = coalesce(started_at, now()), touched_at = now()
    where job_id = (
      select j.job_id from mowing.job j
      where ((j.state = 'waiting' and j.next_try_at <= now()) or (j.state = 'running' and j.touched_at < now() - interval '1 minute'))
        and not exists (select from mowing.job o where o.account_id = j.account_id and o.job_id <> j.job_id
                        and o.state = 'running' and o.touched_at >= now() - interval '1 minute')
      order by j.next_try_at, j.job_id limit 1 for update skip locked
    )
    returning ${columns(sql)}`;
  return rows[0];
}

/** Tells how far a job is; also its sign of life. */
export async function touchJob(
  sql: Query,
  jobId: number,
  at: { doing: string; done: number; total: number },
): Promise<void> {
  await sql`
    update mowing.job set doing = ${at.doing}, done = ${at.done}, total = ${at.total}, touched_at = now() where job_id = ${jobId}`;
}

export async function keepJobInput(sql: Query, jobId: number, input: JobRow['input']): Promise<void> {
  await sql`update mowing.job set input = ${sql.json(input as never)} where job_id = ${jobId}`;
}

export async function endJob(
  sql: Query,
  jobId: number,
  state: 'done' | 'failed',
  message: string,
): Promise<void> {
  await sql`
    update mowing.job set state = ${state}, message = ${message}, finished_at = now(), touched_at = now() where job_id = ${jobId}`;
}

/** Puts a job that failed back into the queue. */
export async function retryJob(
  sql: Query,
  jobId: number,
  afterSeconds: number,
  message: string,
): Promise<void> {
  await sql`
    update mowing.job set state = 'waiting', tries = tries + 1, message = ${message}, touched_at = now(),
      next_try_at = now() + make_interval(secs => ${afterSeconds})
    where job_id = ${jobId}`;
}

/** The latest jobs of an account, newest first. */
export async function listJobs(sql: Query, accountId: number, most = 10): Promise<JobRow[]> {
  return sql<JobRow[]>`
    select ${columns(sql)} from mowing.job where account_id = ${accountId} order by job_id desc limit ${most}`;
}

/** Connected accounts whose last sync ended more than a day ago, or that never had one. */
export async function accountsDue(sql: Query): Promise<number[]> {
  const rows = await sql<{ id: number }[]>`
    select a.account_id as id from mowing.account a
    where a.market_id is not null and a.market_day is not null
      and not exists (select from mowing.job j where j.account_id = a.account_id and j.kind = 'sync'
                      and (j.state in ('waiting', 'running') or coalesce(j.finished_at, j.asked_at) > now() - interval '1 day'))
      and not exists (select from mowing.sync_day s where s.account_id = a.account_id and s.synced_at > now() - interval '1 day')`;
  return rows.map(({ id }) => id);
}
