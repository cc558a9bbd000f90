import { THIS_MACHINE } from '../../src/server/trail';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from 'vitest';
import { addDays } from '../../src/core/units';
import { unsettledDays } from '../../src/core/windows';
import { marketClient } from '../../src/connect/market';
import { findAccount } from '../../src/db/queries/accounts';
import { insertJob, listJobs } from '../../src/db/queries/jobs';
import { listTargets } from '../../src/db/queries/structure';
import { listCoverage, listSyncDays } from '../../src/db/queries/syncDays';
import { closeContext, db } from '../../src/server/context/context';
import { sendBale } from '../../src/server/changes/sendBale';
import { stageChanges } from '../../src/server/changes/stageChanges';
import { runDueJobs } from '../../src/server/jobs/runJobs';
import { accountOfMarket } from '../../src/server/market/openMarket';
import { loadSums } from '../../src/server/sums/loadSums';
import { loadCompletion } from '../../src/server/sync/loadCompletion';
import { loadSync } from '../../src/server/sync/loadSync';
import { syncAccount } from '../../src/server/sync/syncAccount';
import { aMarket } from './market';
import type { TestMarket } from './market';

let market: TestMarket;
const client = () => marketClient(market.url, market.secret, { tries: 2 });
const quiet = async () => {};

beforeAll(async () => {
  market = await aMarket();
  process.env.MOWING_MARKET_URL = market.url;
  process.env.MOWING_MARKET_SECRET = market.secret;
});
beforeEach(() => market.fault());
afterAll(async () => {
  await market.end();
  await closeContext();
});

/** An account of ours for the test's market, without data. */
async function connected(): Promise<number> {
  const remote = (await client().accounts()).find(({ id }) => id === market.key)!;
  await db()`update mowing.account set market_id = null where market_id = ${market.key}`;
  return accountOfMarket(remote, false);
}

/** What the market's own books hold, and ours. */
async function bothSums(account: number) {
  const [market_] = await market.books`
    select sum(clicks)::integer as clicks, sum(spend)::bigint as spend, sum(orders)::integer as orders, sum(sales)::bigint as sales
    from quaymarket.target_day where account_id = ${market.key}`;
  const [ours] = await db()`
    select sum(clicks)::integer as clicks, sum(spend_micros)::bigint as spend, sum(orders)::integer as orders, sum(sales_micros)::bigint as sales
    from mowing.target_day where account_id = ${account}`;
  return { market: { ...market_ }, ours: { ...ours } };
}

describe('a sync', () => {
  test('takes over every kind of report and every entity, to the last cent', async () => {
    const account = await connected();
    const doing: string[] = [];
    await syncAccount(account, client(), async (at) => void doing.push(at.doing));
    const { market: theirs, ours } = await bothSums(account);
    expect(ours).toEqual(theirs);
    const coverage = await listCoverage(db(), account);
    expect(coverage.map(({ kind, days }) => [kind, days]).sort()).toEqual(
      ['hours', 'placements', 'ranks', 'sales', 'targets', 'terms'].map((kind) => [kind, 20]),
    );
    expect(await listTargets(db(), account)).toHaveLength(
      (await client().entities(market.key, 'targets')).items.length,
    );
    expect((await findAccount(db(), account))!.marketDay).toBe('2026-11-23');
    expect(doing).toContain('search terms, 3 Nov 2026 to 12 Nov 2026');
  });

  test('a second time asks for nothing that is final, and doubles nothing', async () => {
    const account = await connected();
    await syncAccount(account, client(), quiet);
    const before = await bothSums(account);
    expect(await syncAccount(account, client(), quiet)).toMatchObject({ reports: 0, rows: 0 });
    expect(await bothSums(account)).toEqual(before);
  });

  test('of a market that is slow, or says to come back later, waits and is whole anyway', async () => {
    const account = await connected();
    await market.fault('slow', 'too-many');
    const before = Date.now();
    await syncAccount(account, client(), quiet);
    expect(Date.now() - before).toBeGreaterThan(2900);
    const { market: theirs, ours } = await bothSums(account);
    expect(ours).toEqual(theirs);
  });

  test('learns from the market’s earlier reports how late orders arrive', async () => {
    const account = await connected();
    await syncAccount(account, client(), quiet);
    const curve = await loadCompletion(account, '2026-11-23');
    expect(curve[0].share).toBeGreaterThan(0.45);
    expect(curve[0].share).toBeLessThan(0.75);
    expect(unsettledDays(curve)).toBeGreaterThan(3);
    const sums = (unsettled: 'as-is' | 'complete') =>
      loadSums({ account, grain: 'account', from: '2026-11-16', to: '2026-11-22', unsettled });
    const [asIs, completed] = [await sums('as-is'), await sums('complete')];
    expect(completed.orders).toBeGreaterThan(asIs.orders);
    expect(completed.clicks).toBe(asIs.clicks);
    expect(completed.completed).toHaveLength(7);
  });

  test('that breaks off keeps the whole days it has, and goes on there', async () => {
    const account = await connected();
    let reports = 0;
    const breaking = { ...client() };
    breaking.report = async (...args) => {
      reports += 1;
      if (reports > 3) await market.fault('truncated-file');
      return client().report(...args);
    };
    await expect(syncAccount(account, breaking, quiet)).rejects.toMatchObject({ code: 'market-down' });
    const kept = await listSyncDays(db(), account);
    expect(kept.length).toBeGreaterThan(10);
    expect(kept.length).toBeLessThan(100);
    // Every day with a row is one that was stamped as whole.
    const days = await db()<
      { day: string }[]
    >`select distinct day from mowing.term_day where account_id = ${account}`;
    const stamped = new Set(kept.filter(({ kind }) => kind === 'terms').map(({ day }) => day));
    expect(days.filter(({ day }) => !stamped.has(day))).toEqual([]);
    expect((await findAccount(db(), account))!.marketDay).toBeNull();
    await market.fault();
    await syncAccount(account, client(), quiet);
    const { market: theirs, ours } = await bothSums(account);
    expect(ours).toEqual(theirs);
  });

  test('tells a day that the market left out, does not count it as whole, and fetches it the next time', async () => {
    const account = await connected();
    await market.fault('missing-day');
    const { missing } = await syncAccount(account, client(), quiet);
    expect(missing).toEqual(['Search terms 3 Nov 2026']);
    const terms = async () => (await loadSync(account)).reports.find(({ kind }) => kind === 'terms')!;
    expect((await terms()).missing).toEqual(['2026-11-03']);
    await syncAccount(account, client(), quiet);
    expect((await terms()).missing).toEqual([]);
  });
});

describe('the job', () => {
  const latest = async (account: number) => (await listJobs(db(), account, 1))[0];

  test('of a market that is down waits, says why, and succeeds when it is back', async () => {
    const account = await connected();
    await insertJob(db(), account, 'sync', {});
    await market.goDown();
    await runDueJobs();
    expect(await latest(account)).toMatchObject({
      state: 'waiting',
      tries: 1,
      message: expect.stringContaining('did not answer'),
    });
    await market.comeBack();
    await db()`update mowing.job set next_try_at = now() where account_id = ${account}`;
    await runDueJobs();
    expect(await latest(account)).toMatchObject({
      state: 'done',
      message: expect.stringContaining('Up to date with the market’s 22 Nov 2026'),
    });
  });

  test('of a kind is asked for once at a time', async () => {
    const account = await connected();
    expect(await insertJob(db(), account, 'sync', {})).not.toBeNull();
    expect(await insertJob(db(), account, 'sync', {})).toBeNull();
    await db()`delete from mowing.job where account_id = ${account}`;
  });

  test('that lets days pass shows what changes did: bids lowered, spend falls; late orders come in', async () => {
    const account = await connected();
    await syncAccount(account, client(), quiet);
    const before = await bothSums(account);
    const targets = (await listTargets(db(), account)).filter(({ bid }) => bid !== null);
    const ids = await stageChanges(
      THIS_MACHINE,
      account,
      targets.map(({ id, bid }) => ({
        change: { kind: 'set-bid', targetId: id, from: bid, to: 50_000 },
        reason: 'a test',
        figures: {},
        effect: { spend: 0, sales: 0 },
      })),
    );
    await sendBale(
      THIS_MACHINE,
      account,
      ids.filter((id): id is number => id !== null),
    );
    expect((await listTargets(db(), account)).filter(({ bid }) => bid !== null && bid !== 50_000)).toEqual(
      [],
    );
    await insertJob(db(), account, 'advance', { days: 3 });
    await runDueJobs();
    expect(await latest(account)).toMatchObject({
      state: 'done',
      message: expect.stringContaining('3 days passed'),
    });
    expect((await findAccount(db(), account))!.marketDay).toBe('2026-11-26');
    const after = await bothSums(account);
    expect(after.ours).toEqual(after.market);
    const spend = async (from: string, to: string) =>
      Number((await loadSums({ account, grain: 'account', from, to })).spend);
    expect(await spend('2026-11-23', '2026-11-25')).toBeLessThan(
      0.7 * (await spend('2026-11-20', '2026-11-22')),
    );
    const orders = (
      await loadSums({ account, grain: 'account', from: addDays('2026-11-23', -20), to: '2026-11-22' })
    ).orders;
    expect(orders).toBeGreaterThan(Number(before.ours.orders));
  });
});
