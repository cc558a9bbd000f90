import { randomUUID } from 'node:crypto';
import { afterAll, beforeEach, describe, expect, test } from 'vitest';
import { accountsDue, insertJob, listJobs, takeJob } from '../../src/db/queries/jobs';
import { MowingError } from '../../src/contract/mowingError';
import { stampDays } from '../../src/db/queries/syncDays';
import { closeContext, db, programNo } from '../../src/server/context/context';
import { askForJob, cancelJob } from '../../src/server/jobs/askForJob';
import type { JobAt, JobKind } from '../../src/server/jobs/kind';
import { runDueJobs } from '../../src/server/jobs/runJobs';
import { THIS_MACHINE } from '../../src/server/trail';
import { loadTrail } from '../../src/server/audit/loadTrail';
import { anAccount } from './account';

afterAll(closeContext);

let name: string;
let accounts: number[];

/** A kind of job of a test's own. */
const aKind = (run: JobKind['run'], over: Partial<JobKind> = {}): JobKind => ({
  name,
  run,
  tries: 2,
  firstPauseS: 0,
  dailyAt: null,
  ...over,
});
const ask = (accountId: number) => insertJob(db(), accountId, name, {});
const jobOf = async (accountId: number) => (await listJobs(db(), accountId))[0];
const noSignOfLife = (accountId: number) =>
  db()`update mowing.job set touched_at = now() - interval '2 minutes' where account_id = ${accountId}`;
const STEP = { doing: 'a step', done: 1, total: 3 };

/** Something that is waited for until it is let go. */
function gate() {
  let open!: () => void;
  const opened = new Promise<void>((resolve) => (open = resolve));
  return { open, opened };
}

beforeEach(async () => {
  name = `test-${randomUUID().slice(0, 8)}`;
  accounts = await Promise.all([1, 2, 3].map(async () => (await anAccount()).id));
});

describe('a job', () => {
  test('whose worker froze is taken over and done once; the frozen one ends nothing when it wakes', async () => {
    const [account] = accounts;
    await ask(account);
    const frozen = gate();
    const done: string[] = [];
    const slow = runDueJobs([
      aKind(async ({ tell }) => {
        await tell(STEP);
        await frozen.opened;
        await tell({ ...STEP, done: 2 });
        done.push('the frozen one');
        return 'done by the frozen one';
      }),
    ]);
    await expect.poll(async () => (await jobOf(account)).doing).toBe('a step');
    await noSignOfLife(account);
    await runDueJobs([
      aKind(async () => {
        done.push('the other');
        return 'done by the other';
      }),
    ]);
    frozen.open();
    await slow;
    expect(done).toEqual(['the other']);
    expect(await jobOf(account)).toMatchObject({ state: 'done', message: 'done by the other' });
  });

  test('that gives signs of life is not taken by anybody else', async () => {
    const [account] = accounts;
    await ask(account);
    const busy = gate();
    const work = runDueJobs([aKind(() => busy.opened.then(() => 'done'))]);
    await expect.poll(async () => (await jobOf(account)).state).toBe('running');
    expect(await takeJob(db(), randomUUID(), await programNo(), [name])).toBeUndefined();
    busy.open();
    await work;
    expect((await jobOf(account)).state).toBe('done');
  });

  test('of one account that takes long delays no other; those of one account run in their order', async () => {
    const [slow, quick] = accounts;
    const second = `${name}-second`;
    await ask(slow);
    await insertJob(db(), slow, second, {});
    await ask(quick);
    const busy = gate();
    const order: string[] = [];
    const run = (kind: string) => async (at: JobAt<object>) => {
      order.push(`${kind} ${at.accountId} begins`);
      if (at.accountId === slow && kind === 'first') await busy.opened;
      order.push(`${kind} ${at.accountId} ends`);
      return 'done';
    };
    const work = runDueJobs([aKind(run('first')), aKind(run('second'), { name: second })]);
    await expect.poll(async () => (await jobOf(quick)).state).toBe('done');
    expect(order).not.toContain(`second ${slow} begins`);
    busy.open();
    await work;
    await runDueJobs([aKind(run('first')), aKind(run('second'), { name: second })]);
    const own = order.filter((line) => line.includes(` ${slow} `));
    expect(own).toEqual([
      `first ${slow} begins`,
      `first ${slow} ends`,
      `second ${slow} begins`,
      `second ${slow} ends`,
    ]);
  });

  test('is tried again as often as its kind says, and then fails with the reason', async () => {
    const [account] = accounts;
    await ask(account);
    let tries = 0;
    const kind = aKind(async () => {
      tries += 1;
      throw new MowingError('market-down', 'The market does not answer.');
    });
    await runDueJobs([kind]);
    await runDueJobs([kind]);
    await runDueJobs([kind]);
    expect(tries).toBe(2);
    expect(await jobOf(account)).toMatchObject({
      state: 'failed',
      message:
        'Given up after 2 tries. The market does not answer. What was done until then stays; ask for it again to go on from there.',
    });
  });

  test('whose program was killed is taken over at once; one that kills each is given up', async () => {
    const [account] = accounts;
    await ask(account);
    let runs = 0;
    const killed = () =>
      db()`update mowing.job set state = 'running', owner = gen_random_uuid(), program_no = 2147483647, touched_at = now()
           where account_id = ${account}`;
    const kind = aKind(async () => {
      runs += 1;
      return 'done';
    });
    await killed();
    await runDueJobs([kind]);
    expect([runs, (await jobOf(account)).state]).toEqual([1, 'done']);
    await ask(account);
    await db()`update mowing.job set tries = 1 where account_id = ${account} and state = 'waiting'`;
    await db()`update mowing.job set state = 'running', program_no = 2147483647 where account_id = ${account} and state = 'waiting'`;
    await runDueJobs([kind]);
    expect([runs, (await jobOf(account)).message]).toEqual([
      1,
      expect.stringContaining('It was cut off 2 times'),
    ]);
  });

  test('is cancelled at once while it waits, and before its next step while it runs', async () => {
    const [waiting, running] = accounts;
    await cancelJob(THIS_MACHINE, waiting, (await ask(waiting))!);
    expect((await jobOf(waiting)).state).toBe('cancelled');
    const id = (await ask(running))!;
    const step = gate();
    let steps = 0;
    const work = runDueJobs([
      aKind(async ({ tell }) => {
        await tell(STEP);
        await step.opened;
        await tell(STEP);
        steps += 1;
        return 'done';
      }),
    ]);
    await expect.poll(async () => (await jobOf(running)).doing).toBe('a step');
    expect(await cancelJob(THIS_MACHINE, running, id)).toEqual({ state: 'running' });
    step.open();
    await work;
    expect(steps).toBe(0);
    expect(await jobOf(running)).toMatchObject({ state: 'cancelled' });
    await expect(cancelJob(THIS_MACHINE, running, id)).rejects.toThrow('ended already');
  });
});

test('a daily job is due at an hour of the account’s own day', async () => {
  const [account] = accounts;
  await db()`update mowing.account set market_id = ${name}, market_day = '2026-11-20' where account_id = ${account}`;
  const due = async (zone: string, hour: number) => {
    await db()`update mowing.account set time_zone = ${zone} where account_id = ${account}`;
    return (await accountsDue(db(), name, hour)).includes(account);
  };
  const hourIn = async (zone: string) => {
    const [{ hour }] = await db()<{ hour: number }[]>`
      select extract(hour from now() at time zone ${zone})::integer as hour`;
    return hour;
  };
  expect(await due('UTC', 5)).toBe(true);
  const id = (await ask(account))!;
  await db()`update mowing.job set state = 'done', finished_at = now() - interval '90 minutes' where job_id = ${id}`;
  // It ended an hour and a half ago: an hour that struck since then in one zone is yet to come in another.
  const [hour, elsewhere] = [await hourIn('UTC'), await hourIn('Asia/Tokyo')];
  expect(await due('UTC', hour)).toBe(true);
  if (hour !== elsewhere) expect(await due('Asia/Tokyo', hour)).toBe(false);
  expect(await due('Asia/Tokyo', elsewhere)).toBe(true);
});

test('a daily job that was given up does not count as done: it comes again after an hour, whatever days came in on its way', async () => {
  const [account] = accounts;
  await db()`update mowing.account set market_id = ${name}, market_day = '2026-11-20', time_zone = 'UTC' where account_id = ${account}`;
  const isDue = async () => (await accountsDue(db(), name, 0)).includes(account);
  const id = (await ask(account))!;
  const ended = (state: string, ago: string) =>
    db()`update mowing.job set state = ${state}, finished_at = now() - ${ago}::interval where job_id = ${id}`;
  await stampDays(db(), account, 'terms', ['2026-11-19'], '2026-11-20');
  expect(await isDue()).toBe(false); // it waits
  await ended('failed', '1 minute');
  expect(await isDue()).toBe(false);
  const [{ isEarly }] = await db()<
    { isEarly: boolean }[]
  >`select extract(epoch from now() - date_trunc('day', now())) < 3700 as "isEarly"`;
  await ended('failed', '61 minutes');
  if (!isEarly) expect(await isDue()).toBe(true);
  await ended('done', '1 second');
  expect(await isDue()).toBe(false);
});

test('who asked for what stands in the trail, and on what was asked for', async () => {
  const [account] = accounts;
  await db()`update mowing.account set market_id = ${name} where account_id = ${account}`;
  const caller = { ...THIS_MACHINE, name: 'Ada' };
  const { jobId } = await askForJob(caller, account, name, { days: 3 });
  expect(await jobOf(account)).toMatchObject({ jobId, by: 'Ada', state: 'waiting' });
  await expect(askForJob(caller, account, name, {})).rejects.toThrow('under way already');
  const { lines } = await loadTrail(account);
  expect(lines).toHaveLength(1);
  expect(lines[0]).toMatchObject({
    by: 'Ada',
    what: `ask for ${name}`,
    subject: `job ${jobId}`,
    to: { days: 3 },
  });
});
