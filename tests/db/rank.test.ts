import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { productTermSubject, targetSubject, campaignSubject } from '../../src/contract/aside';
import { matchForm } from '../../src/core/matching';
import { USUAL_RULE } from '../../src/core/rules';
import { addDays } from '../../src/core/units';
import { changeLosses } from '../../src/server/aside/changeLosses';
import { loadAside, putAside } from '../../src/server/aside/aside';
import { loadLosses } from '../../src/server/aside/loadLosses';
import { loadChanges } from '../../src/server/changes/loadChanges';
import { closeContext, db } from '../../src/server/context/context';
import { exportData } from '../../src/server/exports/exportData';
import { loadTree } from '../../src/server/field/loadTree';
import { planBidSteps } from '../../src/server/plans/loadPlan';
import { loadRank } from '../../src/server/rank/loadRank';
import { loadRankDays } from '../../src/server/rank/loadRankDays';
import { loadRankLines } from '../../src/server/rank/loadRankLines';
import { wantedBy } from '../../src/server/standing/wanted';
import { THIS_MACHINE } from '../../src/server/trail';
import { anAccount, take } from './account';
import { aShop } from './shop';
import type { Shop } from './shop';

// Organic ranks beside ads, and losses that are accepted for them.

let shop: Shop;
let account: number;
let today: string;

beforeAll(async () => {
  shop = await aShop({ days: 80 });
  ({ account } = shop);
  ({ today } = await loadTree(account));
}, 240_000);
afterAll(async () => {
  await shop.end();
  await closeContext();
});

describe('the list of ranks', () => {
  test('has every told product and term, with the ads of all campaigns to the last cent', async () => {
    const { rows, window, effect, days } = await loadRank(account, 28);
    const [{ pairs }] = await db()<{ pairs: number }[]>`
      select count(distinct (product_id, term_id))::integer as pairs from mowing.rank_day where account_id = ${account}`;
    expect(rows).toHaveLength(pairs);
    expect(days!.to).toBe(addDays(today, -1));
    expect(['known', 'nothing']).toContain(effect.verdict);
    const busiest = rows.reduce((best, row) => (row.sums.spend > best.sums.spend ? row : best));
    // Every spelling that matches alike and has no rank of its own counts for it.
    const ranked = new Set(rows.map(({ termId }) => termId));
    const spelled = await db()<{ id: number; text: string }[]>`
      select term_id as id, text from mowing.term where account_id = ${account}`;
    const ids = spelled
      .filter(
        ({ id, text }) =>
          id === busiest.termId || (!ranked.has(id) && matchForm(text) === matchForm(busiest.term)),
      )
      .map(({ id }) => id);
    const [own] = await db()<{ spend: number; orders: number; sales: number }[]>`
      select sum(f.spend_micros)::bigint as spend, sum(f.orders)::integer as orders, sum(f.sales_micros)::bigint as sales
      from mowing.term_day f join mowing.target t on t.account_id = f.account_id and t.target_id = f.target_id
      join mowing.ad_group g on g.account_id = t.account_id and g.ad_group_id = t.ad_group_id
      where f.account_id = ${account} and g.product_id = ${busiest.productId} and f.term_id = any(${ids}::integer[])
        and f.day between ${window.from} and ${window.to}`;
    expect(busiest.sums).toMatchObject(own);
    expect(busiest.organic).toBeGreaterThan(0);
  });

  test('has a time line for each, as the database has its days, with what was changed on the targets that caught it', async () => {
    const { rows } = await loadRank(account, 28);
    const [{ productId, termId, term }] = rows.filter(({ sums }) => sums.clicks > 10);
    const line = await loadRankDays(account, productId, termId, 30);
    const told = await db()<{ rank: number }[]>`
      select organic_rank as rank from mowing.rank_day where account_id = ${account} and product_id = ${productId}
        and term_id = ${termId} and day > ${today}::date - 31 order by day`;
    expect(line.rank).toEqual(told.map(({ rank }) => rank));
    expect(line.spend.some((spend) => spend > 0)).toBe(true);
    expect(line.allOrders.every((orders) => orders !== null)).toBe(true);
    const { lines } = await loadRankLines(account, productId, termId);
    expect(lines).toHaveLength(1);
    expect(lines[0]).toMatchObject({ term });
    expect((await loadRankLines(account, productId)).lines.length).toBeGreaterThan(1);
    await expect(loadRankDays(account, productId, termId, { from: today, to: '2020-01-01' })).rejects.toThrow(
      'A time line has 1 to 400 days',
    );
  });

  test('takes ranks from a file; a term that was not found is beyond the last page, and leaves so', async () => {
    const own = await anAccount();
    const line = (day: string, term: string, rank: string) => `${day},B0RANK1,${term},${rank},500`;
    const days = Array.from({ length: 7 }, (_, at) => addDays('2026-10-01', at));
    const file = [
      'Date,Item code,Search term,Organic rank,Weekly searches',
      ...days.flatMap((day) => [line(day, 'oak jar', '12'), line(day, 'elm jar', 'not ranked')]),
      line(days[6], 'ash jar', 'first page'),
    ].join('\n');
    const result = await take(own, 'ranks', file);
    expect(result).toMatchObject({ kept: 14, refused: 1 });
    expect(result.lines[0].reason).toContain('Organic rank');
    const { rows } = await loadRank(own.id, 7);
    expect(rows.map(({ term, rank }) => [term, rank])).toEqual([
      ['elm jar', 0],
      ['oak jar', 12],
    ]);
    expect(rows[0].organic).toBeNull(); // nothing is known of its orders
    const { body } = await exportData({ account: own.id, kind: 'ranks', format: 'csv' });
    const parts: Uint8Array[] = [];
    for await (const part of body) parts.push(part);
    const text = Buffer.concat(parts).toString();
    expect(text).toMatch(/elm jar,,500/);
    const again = await take(own, 'ranks', text);
    expect(again).toMatchObject({ kept: 0, unchanged: 14, refused: 0 });
  });

  test('is empty, and says so, where no rank was brought', async () => {
    const { id } = await anAccount();
    expect(await loadRank(id, 28)).toMatchObject({ days: null, rows: [], effect: { verdict: 'early' } });
  });
});

describe('an accepted loss', () => {
  const proposed = async () =>
    (await planBidSteps({ account, target: 0.08 }, ['dead', 'over'])).flatMap(({ told: { subject } }) =>
      subject.kind === 'target' ? [Number(subject.id)] : [],
    );
  const until = () => addDays(today, 30);
  const accept = (subject: string, most: number | null = null) =>
    changeLosses(THIS_MACHINE, {
      account,
      subjects: [subject],
      does: 'accept',
      until: until(),
      note: 'for rank',
      most,
    });
  const end = (subject: string) => changeLosses(THIS_MACHINE, { account, subjects: [subject], does: 'end' });
  const stateOf = async (subject: string) =>
    (await loadLosses(account)).losses.find((one) => one.subject === subject);

  test('of a term keeps the bids on it from being proposed, by the round and by rules, until it ends', async () => {
    const before = await proposed();
    const { tree, rows } = { tree: await loadTree(account), rows: (await loadRank(account, 28)).rows };
    const groups = new Map(tree.adGroups.map(({ id, productId }) => [id, productId]));
    const on = (productId: number, term: string) =>
      tree.targets.filter(
        ({ kind, adGroupId, expression }) =>
          kind === 'keyword' &&
          groups.get(adGroupId) === productId &&
          matchForm(expression) === matchForm(term),
      );
    const row = rows.find(({ productId, term }) =>
      on(productId, term).some(({ id }) => before.includes(id)),
    )!;
    const own = on(row.productId, row.term).map(({ id }) => id);
    const subject = productTermSubject(row.productId, row.termId);
    const rule = {
      ...USUAL_RULE,
      name: 'By hand',
      work: 'by hand' as const,
      hand: { conditions: ['clicks>=0'], percent: -0.1 },
    };
    const byRule = async () =>
      (await wantedBy(account, undefined, rule)).wanted.map(({ subject: one }) => one);
    expect(await byRule()).toEqual(expect.arrayContaining([targetSubject(own[0])]));
    await accept(subject);
    expect((await proposed()).filter((id) => own.includes(id))).toEqual([]);
    expect((await byRule()).filter((one) => own.map(targetSubject).includes(one))).toEqual([]);
    expect(
      (await loadRank(account, 28)).rows.find(
        ({ termId, productId }) => termId === row.termId && productId === row.productId,
      ),
    ).toMatchObject({ acceptedUntil: until() });
    expect(await stateOf(subject)).toMatchObject({
      name: row.term,
      note: 'for rank',
      state: 'standing',
      cost: null,
    });
    await end(subject);
    expect(await proposed()).toEqual(before);
  });

  test('of a campaign covers all of its targets and its placements, and one that lost more than was accepted holds no longer', async () => {
    const tree = await loadTree(account);
    const [target] = await proposed();
    const group = tree.targets.find(({ id }) => id === target)!.adGroupId;
    const { campaignId } = tree.adGroups.find(({ id }) => id === group)!;
    const subject = campaignSubject(campaignId);
    await accept(subject);
    const { aside } = await loadAside(account);
    expect(aside).toContainEqual(expect.objectContaining({ queue: 'bids', subject: targetSubject(target) }));
    expect(aside).toContainEqual(expect.objectContaining({ queue: 'placements', subject }));
    // Accepted a while ago, so that it has days to cost something on.
    await db()`update mowing.accepted_loss set from_day = from_day - 40, most_micros = null where account_id = ${account}`;
    const { cost30 } = (await stateOf(subject))!;
    const [sums] = await db()<{ spend: number; sales: number }[]>`
      select sum(f.spend_micros)::bigint as spend, sum(f.sales_micros)::bigint as sales from mowing.target_day f
      join mowing.target t on t.account_id = f.account_id and t.target_id = f.target_id
      join mowing.ad_group g on g.account_id = t.account_id and g.ad_group_id = t.ad_group_id
      where f.account_id = ${account} and g.campaign_id = ${campaignId}
        and f.day between ${addDays((await loadRank(account, 28)).window.to, -29)} and ${(await loadRank(account, 28)).window.to}`;
    expect(cost30).toBe(Math.round(sums.spend - tree.accountAcos * sums.sales));
    await db()`update mowing.account set target_acos = 0.01 where account_id = ${account}`;
    await accept(subject, 10_000);
    expect(await stateOf(subject)).toMatchObject({ state: 'over', most: 10_000 });
    expect((await loadAside(account)).aside).toEqual([]);
    await db()`update mowing.account set target_acos = ${tree.accountAcos} where account_id = ${account}`;
    await end(subject);
    expect(await stateOf(subject)).toMatchObject({ state: 'ended', endedOn: today });
  });

  test('of a target is put aside from the round, taken back without a trace on its day, and turned into the bid that is proposed', async () => {
    const change = { account, queue: 'bids', verdict: 'accepted-loss' as const, note: 'rank' };
    await db()`update mowing.account set target_acos = 0.08 where account_id = ${account}`;
    const [id] = await proposed();
    const subject = targetSubject(id);
    await putAside(THIS_MACHINE, { ...change, subjects: [subject], until: until() });
    expect(await proposed()).not.toContain(id);
    await putAside(THIS_MACHINE, { account, queue: 'bids', subjects: [subject], verdict: 'back' });
    expect(await stateOf(subject)).toBeUndefined();
    await accept(subject);
    const { count, staged } = await changeLosses(THIS_MACHINE, {
      account,
      subjects: [subject],
      does: 'bid',
    });
    expect([count, staged.length]).toEqual([1, 1]);
    const [{ change: made }] = await loadChanges(account, { state: 'staged' });
    expect(made).toMatchObject({ targetId: id });
    await shop.calm();
  });

  test('is refused for a day that has passed, and for what the account does not have', async () => {
    const bad = (subjects: string[], day: string) =>
      changeLosses(THIS_MACHINE, { account, subjects, does: 'accept', until: day });
    await expect(bad(['target 2000000000'], until())).rejects.toThrow('target');
    const [{ id }] = (await loadTree(account)).targets;
    await expect(bad([targetSubject(id)], today)).rejects.toThrow('has passed; choose a day after');
  });
});
