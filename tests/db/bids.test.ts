import { THIS_MACHINE } from '../../src/server/trail';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import type { AccountRow } from '../../src/db/queries/accounts';
import { findAccount } from '../../src/db/queries/accounts';
import { listTargets } from '../../src/db/queries/structure';
import { loadBidFeed } from '../../src/server/bids/loadBidFeed';
import { BID_QUEUE, targetSubject } from '../../src/contract/aside';
import { loadAside, putAside } from '../../src/server/aside/aside';
import { closeContext, db } from '../../src/server/context/context';
import { loadTree } from '../../src/server/field/loadTree';
import { loadBaleEffects, loadPurposeEffects } from '../../src/server/effects/loadEffects';
import { addDays } from '../../src/core/units';
import { aReport, aReportRow } from '../make/report';
import { anAccount, takeIn } from './account';
import { told } from '../make/told';

const FIRST = '2026-10-01';
const DAYS = 50;
const CHANGED = '2026-11-02';
const TARGETS = 12;

let account: AccountRow;
let ids: number[];

/** Twelve targets that do the same every day, Mondays twice as much; after the change the first spends half. */
beforeAll(async () => {
  account = await anAccount();
  const rows = Array.from({ length: DAYS }, (_, at) => addDays(FIRST, at)).flatMap((day) =>
    Array.from({ length: TARGETS }, (_, target) => {
      const much = new Date(day).getUTCDay() === 1 ? 2 : 1;
      const cut = target === 0 && day >= CHANGED ? 0.5 : 1;
      return aReportRow({
        day,
        term: `jar ${target}`,
        targetId: `T${target}`,
        target: `jar ${target}`,
        impressions: 90,
        clicks: 4 * much,
        spend: (2 * much * cut).toFixed(2),
        orders: 1,
        sales: '20.00',
      });
    }),
  );
  await takeIn(account, aReport({ rows }));
  await db()`update mowing.account set market_day = ${addDays(FIRST, DAYS)} where account_id = ${account.id}`;
  account = (await findAccount(db(), account.id))!;
  const targets = await listTargets(db(), account.id);
  ids = Array.from(
    { length: TARGETS },
    (_, at) => targets.find(({ expression }) => expression === `jar ${at}`)!.id,
  );
});
afterAll(closeContext);

/** A change that the market accepted on a day. */
async function accepted(targetId: number, day: string, step: string): Promise<number> {
  const change = { kind: 'set-bid', targetId, from: 500_000, to: 250_000 };
  const [{ bale }] = await db()<{ bale: number }[]>`
    insert into mowing.bale (account_id, idempotency_key, state) values (${account.id}, gen_random_uuid(), 'done') returning bale_id as bale`;
  await db()`
    insert into mowing.change (account_id, kind, change, change_key, state, reason, figures, effect_spend, bale_id, answered_on)
    values (${account.id}, 'set-bid', ${db().json(change)}, ${`bid ${targetId}`}, 'accepted', 'a test', ${db().json({ step })}, -30000000, ${bale}, ${day})`;
  return bale;
}

describe('what bids are worked out from', () => {
  test('are the days up to the last with data, each as old as it is before the decision', async () => {
    const feed = told(await loadBidFeed(account.id));
    expect(feed.today).toBe(addDays(FIRST, DAYS));
    const own = feed.days.targetId.flatMap((id, row) => (id === ids[3] ? [row] : []));
    expect(own).toHaveLength(DAYS);
    expect(own.map((row) => feed.days.age[row]).sort((a, b) => a - b)).toEqual(
      Array.from({ length: DAYS }, (_, age) => age),
    );
    // 50 days from a Thursday on hold seven Mondays.
    expect(own.reduce((sum, row) => sum + feed.days.spend[row], 0)).toBe((DAYS + 7) * 2_000_000);
  });

  test('count a bid that only went along with modifiers in its days, and not as a change to be waited for', async () => {
    await accepted(ids[5], addDays(FIRST, 40), 'placements');
    await accepted(ids[6], addDays(FIRST, 40), 'over');
    const { bidChanges } = told(await loadBidFeed(account.id));
    expect(bidChanges.map(({ targetId }) => targetId).sort()).toEqual([ids[5], ids[6]].sort());
    const { lastChanges } = await loadTree(account.id);
    expect(lastChanges.map(({ id }) => id)).toEqual([ids[6]]);
    await db()`delete from mowing.change where account_id = ${account.id}`;
  });

  test('a keyword that was made from a term brings what the term did elsewhere before, and tests take of their cap', async () => {
    const own = await anAccount();
    const [from, made] = [addDays(FIRST, 0), addDays(FIRST, 10)];
    const row = (day: string, over: object) =>
      aReportRow({
        day,
        campaign: 'Jars',
        adGroup: 'auto',
        term: 'lidded jar',
        clicks: 3,
        orders: 1,
        sales: '20.00',
        ...over,
      });
    const rows = [
      ...Array.from({ length: 14 }, (_, at) =>
        row(addDays(from, at), { targetId: 'A1', target: 'wide searches' }),
      ),
      row(addDays(from, 12), { targetId: 'K1', target: 'lidded jar', match: 'exact' }),
      row(addDays(from, 4), { term: 'open jar', targetId: 'A1', target: 'wide searches' }),
    ];
    await takeIn(own, aReport({ rows }));
    const target = (await listTargets(db(), own.id)).find(({ expression }) => expression === 'lidded jar')!;
    await db()`update mowing.target set match = 'exact' where account_id = ${own.id} and target_id = ${target.id}`;
    const change = async (kind: string, figures: object, madeTargetId: number | null) =>
      db()`
        insert into mowing.change (account_id, kind, change, change_key, state, reason, figures, made_target_id, answered_on)
        values (${own.id}, ${kind}, '{}', ${`${kind} ${JSON.stringify(figures)}`}, 'accepted', 'a test', ${db().json(figures as never)}, ${madeTargetId}, ${made})`;
    await change('add-keyword', {}, target.id);
    await change('set-bid', { step: 'test', testCost: 2_500_000 }, null);
    await change('set-bid', { step: 'grow', testCost: 9_000_000 }, null);
    const feed = told(await loadBidFeed(own.id));
    // Ten days of the term under the automatic target; what came after, and its own clicks, count where they are.
    expect(feed.before).toEqual([{ targetId: target.id, clicks: 30, orders: 10, sales: 200_000_000 }]);
    expect(feed.testsUsed).toBe(2_500_000);
  });

  test('an account without data has none, and no error', async () => {
    const empty = await anAccount();
    const feed = told(await loadBidFeed(empty.id));
    expect(feed.days.targetId).toEqual([]);
    expect(feed.bidChanges).toEqual([]);
  });
});

describe('a target that is put aside', () => {
  test('stays away until its day, with its note, and comes back by hand', async () => {
    const [first, second] = [targetSubject(ids[1]), targetSubject(ids[2])];
    const rest = { account: account.id, queue: BID_QUEUE };
    const aside = async () => (await loadAside(account.id)).aside;
    await putAside(THIS_MACHINE, {
      ...rest,
      subjects: [first, second],
      verdict: 'accepted-loss',
      note: 'holds the rank',
    });
    expect((await aside()).find(({ subject }) => subject === first)).toMatchObject({
      verdict: 'accepted-loss',
      note: 'holds the rank',
    });
    await putAside(THIS_MACHINE, { ...rest, subjects: [first], verdict: 'back' });
    expect((await aside()).map(({ subject }) => subject)).toEqual([second]);
  });
});

describe('the effect of a bale', () => {
  let bale: number;
  beforeAll(async () => {
    bale = await accepted(ids[0], CHANGED, 'over');
  });

  test('compares each day with the same weekday before, and with targets that were left alone', async () => {
    const effects = await loadBaleEffects(account.id, bale);
    // 50 days are in; the last three may still get orders: 2 to 16 November, 15 days.
    expect(effects.settledThrough).toBe(addDays(FIRST, DAYS - 4));
    expect(effects.bale).toMatchObject({ measured: 1, waiting: 0, verdict: 'as wanted' });
    // Mondays count twice as much: were weekdays mixed up, it would not be one half to the digit.
    expect(effects.bale.spend!.change).toBeCloseTo(-0.5, 10);
    expect(effects.bale.sales!.change).toBeCloseTo(0, 10);
    expect(effects.changes).toHaveLength(1);
  });

  test('ends with the next change of the same target', async () => {
    const again = await accepted(ids[0], addDays(CHANGED, 8), 'over');
    expect((await loadBaleEffects(account.id, bale)).bale.days).toBe(7);
    expect((await loadBaleEffects(account.id, again)).bale.days).toBe(7);
    expect(await loadPurposeEffects(account.id)).toMatchObject({
      purposes: [{ purpose: 'over', changes: 2 }],
    });
  });

  test('is too early while its days are not in, and says from when on', async () => {
    const late = await accepted(ids[5], addDays(FIRST, DAYS - 2), 'grow');
    expect((await loadBaleEffects(account.id, late)).bale).toMatchObject({
      verdict: 'too early',
      readyOn: addDays(FIRST, DAYS - 2 + 3 + 4),
    });
  });
});
