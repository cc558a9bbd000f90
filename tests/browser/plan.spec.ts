import { expect, test } from '@playwright/test';
import type { APIRequestContext } from '@playwright/test';
import { inDecimals } from '../../src/core/changes';
import { settingsOf } from '../../src/core/bids';
import type { BidFeed } from '../../src/core/bids';
import { indexTree } from '../../src/core/structure';
import type { AccountTree } from '../../src/core/structure';
import { GRADES } from '../../src/core/lenses';
import { microsToDecimal } from '../../src/core/units';
import { idsOfSubject } from '../../src/contract/aside';
import type { Aside } from '../../src/contract/aside';
import type { AccountInfo } from '../../src/contract/api';
import type { NewChange } from '../../src/contract/changes';
import type { AcceptAnswer, PlanAnswer } from '../../src/contract/plan';
import { actOf, keptBids, toBidChange } from '../../src/plans/bids';
import type { RoundSettings } from '../../src/plans/bids';
import { reviewSettings, rowKey, toChanges } from '../../src/plans/terms';
import type { Arranged } from '../../src/plans/terms';
import { fieldEngine } from '../../src/views/shared/fieldEngine/fieldEngine';
import { reviewEngine } from '../../src/views/shared/reviewEngine/reviewEngine';
import { demoAccount, emptyTray, stagedIn, freshStage } from './page';

test.beforeAll(freshStage);

// What the page's workers propose and what scripts and nights get are one thing: the same rows, words and figures.

let account: AccountInfo;

test.beforeEach(async ({ request }) => {
  const id = await demoAccount(request);
  await emptyTray(request, id);
  const accounts = (await (await request.get('/api/accounts')).json()) as AccountInfo[];
  account = accounts.find((one) => one.id === id)!;
});

/** The server as the workers see it. */
function server(request: APIRequestContext) {
  const get = async (path: string) => (await request.get(path)).json();
  return {
    tree: (id: number) => get(`/api/tree?account=${id}`),
    fieldSums: (id: number, grain: string) => get(`/api/field?account=${id}&grain=${grain}`),
    bidFeed: (id: number) => get(`/api/bid-feed?account=${id}`),
    // Worked out here from the same days: the server's thread is to come to the same figures.
    bidPlan: async (id: number, settings: RoundSettings) => {
      const [tree, feed] = await Promise.all([
        get(`/api/tree?account=${id}`),
        get(`/api/bid-feed?account=${id}`),
      ]);
      return keptBids(indexTree(tree as AccountTree), feed as BidFeed).columns(settings);
    },
    review: (id: number) => get(`/api/review?account=${id}`),
    suggestNew: async (id: number, targets: unknown) =>
      (await request.post('/api/suggestions', { data: { account: id, targets } })).json(),
  };
}

const plan = async (request: APIRequestContext, step: string, more = '') =>
  (await (await request.get(`/api/plan?account=${account.id}&step=${step}${more}`)).json()) as PlanAnswer;

/** Ids of what is put aside in a queue. */
async function asideIn(request: APIRequestContext, queue: string): Promise<number[][]> {
  const answer = await request.get(`/api/aside?account=${account.id}`);
  const { aside } = (await answer.json()) as { aside: Aside[] };
  return aside.filter((one) => one.queue === queue).map(({ subject }) => idsOfSubject(subject));
}

/** What an answer says of a proposal, beside what a change says of itself. */
const told = (answer: PlanAnswer) =>
  answer.proposals.map(({ subject, change, also, reason, evidence, figures, expected }) => ({
    id: subject.id,
    changes: change ? [change, ...also] : null,
    reason,
    evidence,
    figures,
    effect: { spend: expected.spend, sales: expected.sales },
  }));

const shown = (id: number | string, changes: NewChange[] | null, evidence: string, sums: Sums) => ({
  id,
  changes: changes && changes.map(({ change }) => inDecimals(change)),
  reason: changes?.[0].reason,
  evidence,
  figures: {
    impressions: sums.impressions,
    clicks: sums.clicks,
    orders: sums.orders,
    spend: microsToDecimal(sums.spend),
    sales: microsToDecimal(sums.sales),
    acos: sums.sales > 0 ? sums.spend / sums.sales : null,
  },
  effect: {
    spend: microsToDecimal(changes?.[0].effect.spend ?? 0),
    sales: microsToDecimal(changes?.[0].effect.sales ?? 0),
  },
});
type Sums = { impressions: number; clicks: number; orders: number; spend: number; sales: number };

for (const step of ['dead', 'over', 'grow'] as const)
  test(`the list of “${step}” is the page’s, to the last figure`, async ({ request }) => {
    const engine = fieldEngine(server(request) as never);
    const { loadId, table } = await engine.load(account.id, { revision: 1, targetAcos: 0.24 }, 'targets');
    const settings = settingsOf(account.choices.bids, account.limits);
    const aside = await asideIn(request, 'bids');
    const columns = (await engine.planBids(loadId, settings))!;
    const { rows } = (await engine.arrangeBids(loadId, {
      step,
      show: 'proposed',
      settings,
      conditions: [],
      sort: null,
      staged: [],
      aside: aside.map(([targetId]) => targetId),
    }))!;
    const list = Array.from(rows, (row) => {
      const act = actOf(columns, table, new Map(), row);
      const made = toBidChange(act, columns, table, new Map(), step)!;
      const sums = {
        impressions: table.now.impressions[row],
        clicks: table.now.clicks[row],
        orders: table.now.orders[row],
        spend: table.now.spend[row],
        sales: table.now.sales[row],
      };
      return shown(act.targetId, [made], GRADES[columns.grade[row]], sums);
    });
    expect(list.length).toBeGreaterThan(5);
    expect(told(await plan(request, step))).toEqual(list);
  });

for (const step of ['harvest', 'negatives'] as const)
  test(`the list of “${step}” is the page’s, to the last figure`, async ({ request }) => {
    const engine = reviewEngine(server(request) as never);
    const review = await engine.load(account.id);
    const { table, estimates } = review;
    const aside = await asideIn(request, step);
    const settings = reviewSettings(account.choices.terms, account.targetAcos);
    const { rows, proposals } = (await engine.arrange(review.loadId, {
      step,
      show: 'proposed',
      settings,
      conditions: [],
      sort: null,
      staged: [],
      aside: aside.map(([adGroupId, termId]) => rowKey(step, adGroupId, termId)),
    })) as Arranged;
    const list = Array.from(rows, (row) =>
      shown(
        `${table.adGroupId[row]}:${table.termId[row]}`,
        toChanges(proposals.get(row)!, review, account.targetAcos),
        GRADES[estimates.grade[row]],
        {
          impressions: table.impressions[row],
          clicks: table.clicks[row],
          orders: table.orders[row],
          spend: table.spend[row],
          sales: table.sales[row],
        },
      ),
    );
    expect(list.length).toBeGreaterThan(5);
    const answer = await plan(request, step);
    expect(told(answer).filter(({ changes }) => changes !== null)).toEqual(
      list.filter(({ changes }) => changes !== null),
    );
    expect(answer.proposals).toHaveLength(list.length);
  });

test('a plan is staged by its ids or as a whole, once; what is not proposed is told', async ({ request }) => {
  const { proposals } = await plan(request, 'over');
  const ids = proposals.slice(0, 3).map(({ subject }) => subject.id);
  const accept = async (data: object) => {
    const answer = await request.post('/api/plan', { data: { account: account.id, ...data } });
    expect(answer.status()).toBe(201);
    return (await answer.json()) as AcceptAnswer;
  };
  const some = await accept({ step: 'over', accept: [...ids, 2_000_000_000] });
  expect(some.staged).toHaveLength(3);
  expect(some.notStaged).toEqual([{ id: 2_000_000_000, why: 'It is not proposed.' }]);
  expect((await plan(request, 'over')).proposals).toHaveLength(proposals.length - 3);
  const negatives = await plan(request, 'negatives');
  const all = await accept({ step: 'negatives', accept: 'all' });
  expect(all.notStaged).toEqual([]);
  expect(await stagedIn(request, account.id)).toHaveLength(3 + all.staged.length);
  expect(all.staged.length).toBeGreaterThanOrEqual(negatives.proposals.length);
  expect((await plan(request, 'negatives')).summary.count).toBe(0);
  await emptyTray(request, account.id);
});

test('another target, pace or aim gives another plan; what is none is refused with its name', async ({
  request,
}) => {
  const [steady, brisk, strict] = [
    await plan(request, 'over'),
    await plan(request, 'over', '&pace=brisk'),
    await plan(request, 'over', '&target=0.1&aim=strict'),
  ];
  expect(brisk.settings).toMatchObject({ pace: 'brisk', step: { down: 0.6 } });
  expect(Number(brisk.summary.spend)).toBeLessThan(Number(steady.summary.spend));
  expect(strict.settings).toMatchObject({ targetAcos: 0.1, aim: 'strict' });
  expect(strict.summary.count).toBeGreaterThan(steady.summary.count);
  const refused = await request.get(`/api/plan?account=${account.id}&step=over&pace=hasty`);
  expect(refused.status()).toBe(400);
  expect(await refused.json()).toMatchObject({ error: { faults: [{ where: 'query.pace' }] } });
});
