import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { PACES, settingsOf, USUAL_CHOICES } from '../../src/core/bids';
import type { TargetPlan } from '../../src/core/bids';
import { USUAL_LIMITS } from '../../src/core/changes';
import { indexTree } from '../../src/core/structure';
import { addDays } from '../../src/core/units';
import { asJson, pack, unpack } from '../../src/contract/packed';
import type { AccountRow } from '../../src/db/queries/accounts';
import { answerBids } from '../../src/plans/bidAnswers';
import { keptBids, wholePlan } from '../../src/plans/bids';
import type { PlanAnswer, RoundPlan } from '../../src/plans/bids';
import { planTerms } from '../../src/plans/steps';
import { keptReview } from '../../src/plans/terms';
import type { ReviewSettings } from '../../src/plans/terms';
import { answerField } from '../../src/plans/fieldAnswers';
import { askBids, loadBidPlan } from '../../src/server/bids/askBids';
import { loadBidFeed } from '../../src/server/bids/loadBidFeed';
import { closeContext, db } from '../../src/server/context/context';
import { setGoal } from '../../src/server/economics/goals';
import { loadFieldSums } from '../../src/server/field/loadFieldSums';
import { loadOverviewParts } from '../../src/server/field/loadOverviewParts';
import { loadTree } from '../../src/server/field/loadTree';
import { bidsLeft } from '../../src/server/plans/usualPlans';
import { loadPlan, planStep } from '../../src/server/plans/loadPlan';
import { loadReview } from '../../src/server/review/loadReview';
import { THIS_MACHINE } from '../../src/server/trail';
import { keepWordLists } from '../../src/server/words/wordLists';
import { askWords } from '../../src/server/words/askWords';
import { aReport, aReportRow } from '../make/report';
import { anAccount, takeIn } from './account';

const FIRST = '2026-10-01';
const DAYS = 60;
const TERMS = ['stone jar', 'stone jar lid', 'jar', 'blue pot', 'jar weights', 'glass weights'];
const settings = settingsOf(USUAL_CHOICES, USUAL_LIMITS);

let account: AccountRow;

/** Six targets, the later the dearer, each with a term of its own; every other one sells. */
beforeAll(async () => {
  account = await anAccount();
  const days = Array.from({ length: DAYS }, (_, at) => addDays(FIRST, at));
  const rows = days.flatMap((day, at) =>
    TERMS.map((term, target) =>
      aReportRow({
        day,
        term,
        targetId: `T${target}`,
        target: term,
        impressions: 200,
        clicks: 6 + target,
        spend: (2 + target).toFixed(2),
        orders: (at + target) % 2 === 0 && target % 2 === 0 ? 1 : 0,
        sales: (at + target) % 2 === 0 && target % 2 === 0 ? '24.00' : '0.00',
      }),
    ),
  );
  await takeIn(account, aReport({ rows }));
  await db()`update mowing.target set bid_micros = 500000 where account_id = ${account.id}`;
});
afterAll(closeContext);

/** The account's bids, worked out here. */
async function bidsHere() {
  const [tree, feed] = await Promise.all([loadTree(account.id), loadBidFeed(account.id)]);
  return keptBids(indexTree(tree), feed);
}

/** As it comes over the line. */
const sent = <T extends object>(answer: T): T => JSON.parse(asJson(unpack(pack(answer).buffer)));

describe('a thread beside the application', () => {
  test('comes to the same figures as whoever works them out from the same days', async () => {
    const here = await bidsHere();
    const campaignId = here.campaignIds[0];
    for (const [question, asked] of [
      ['plan', { settings }],
      ['target', { settings, acos: 0.1 }],
      ['wanted', { settings, targetIds: [...here.targetIds, 2_000_000_000] }],
      ['price', {}],
      ['placements', { settings: { ...settings, modifiers: [true, true, true] } }],
      ['budgets', { settings, locks: [[campaignId, 30_000_000]] }],
      ['shares', { campaignId, minBudget: 1_000_000 }],
    ] as [never, never][]) {
      const told = sent(answerBids(here, question, asked));
      // Nothing is lost on the way: no figure is endless or none.
      expect(told as unknown, question).toEqual(JSON.parse(asJson(answerBids(here, question, asked))));
      // Plans have names of their own.
      const answer: { base?: string } = await askBids(account.id, question, asked);
      if (answer.base) answer.base = (told as { base: string }).base;
      expect(JSON.parse(asJson(answer)), question).toEqual(told);
    }
  });

  test('is asked by scripts and nights too, and counts what is left to do', async () => {
    const { targetIds, step } = (await bidsHere()).columns(settings);
    expect(new Set(step).size).toBeGreaterThan(1);
    const steps = await Promise.all(
      (['dead', 'over', 'grow'] as const).map((one) => loadPlan({ account: account.id, step: one })),
    );
    const proposed = steps.flatMap(({ proposals }) => proposals.map(({ subject }) => subject.id));
    expect([...targetIds]).toEqual(expect.arrayContaining(proposed));
    expect(await bidsLeft(account.id)).toEqual({ left: proposed.length });
  });

  test('works out the same once, and anew as soon as anything is changed', async () => {
    const before = await loadBidPlan(account.id, settings);
    expect(await loadBidPlan(account.id, settings)).toBe(before);
    const strict = await loadBidPlan(account.id, { ...settings, aim: 'strict' });
    expect(strict).not.toBe(before);
    const goal = { scope: 'account' as const, scopeId: 0, kind: 'acos' as const, low: 0.05, high: 0.05 };
    await setGoal(THIS_MACHINE, account.id, goal);
    const wanted = (bytes: ArrayBuffer) => Array.from(unpack<TargetPlan>(bytes).wanted);
    const after = wanted(await loadBidPlan(account.id, settings));
    expect(Math.max(...after)).toBeLessThan(Math.max(...wanted(before)));
    expect(after).toEqual([...(await bidsHere()).columns(settings).wanted]);
  });

  test('knows a campaign that was drafted since, though no figures came', async () => {
    const asked = { settings, locks: [] };
    const before = await askBids(account.id, 'budgets', asked);
    const [{ id }] = await db()<{ id: number }[]>`
      insert into mowing.campaign (account_id, name, state) values (${account.id}, 'A home', 'draft') returning campaign_id as id`;
    const after = await askBids(account.id, 'budgets', asked);
    const ids = ({ rows }: typeof after) => rows.map(({ campaignId }) => campaignId);
    expect(ids(after)).toEqual([...ids(before), id]);
  });

  test('knows that prepaid funds are gone, and that they are topped up', async () => {
    const has = (funds: number | null) =>
      db()`update mowing.account set funds_micros = ${funds} where account_id = ${account.id}`;
    const left = async () => (await bidsLeft(account.id)).left;
    const before = await left();
    await has(0);
    // No ad is shown: no bid is to be changed.
    expect(await left()).toBe(0);
    await has(null);
    expect(await left()).toBe(before);
    expect(before).toBeGreaterThan(0);
  });

  test('tells another pace as what it changes to whoever has the plan before, and the whole to everybody else', async () => {
    const brisk = { ...settings, step: PACES.brisk };
    const usual = unpack<RoundPlan>(await loadBidPlan(account.id, settings));
    const told = unpack<PlanAnswer>(await loadBidPlan(account.id, brisk, usual.base));
    expect(Object.keys(told)).not.toContain('wanted');
    const whole = unpack<RoundPlan>(await loadBidPlan(account.id, brisk, randomUUID()));
    expect(wholePlan(told, usual)).toEqual(whole);
  });

  test('tells whose question failed, and goes on with the next', async () => {
    const broken = askBids(account.id, 'plan', { settings: null as never });
    const other = askBids(account.id, 'price', {});
    await expect(broken).rejects.toThrow();
    expect(await other).toMatchObject({ gamma: 0, targets: TERMS.length });
    expect((await askBids(account.id, 'plan', { settings })).to).toHaveLength(TERMS.length);
  });

  test('whose memory is not enough says so, and is started anew', async () => {
    // Words are not asked about before: their thread starts here.
    process.env.MOWING_THREAD_MB = '2';
    await expect(askWords(account.id, 'summary', {})).rejects.toThrow(/MOWING_THREAD_MB/);
    delete process.env.MOWING_THREAD_MB;
    expect(await askWords(account.id, 'summary', {})).toMatchObject({ terms: TERMS.length });
  });
});

test('the account as a whole is told in the same figures as its targets are summed here', async () => {
  const [tree, sums] = await Promise.all([
    loadTree(account.id),
    loadFieldSums({ account: account.id, grain: 'target' }),
  ]);
  const here = answerField(indexTree(tree), 'overview', { sums });
  expect(here.now.clicks).toBeGreaterThan(0);
  expect(await loadOverviewParts(account.id)).toEqual(sent(here));
  expect(sent(here)).toEqual(here);
});

describe('search terms', () => {
  test.each([undefined, addDays(FIRST, DAYS - 10)])(
    'are proposed on in the thread as a page does it from the same terms (on %s)',
    async (on) => {
      const { planned, answer } = await planStep(
        { account: account.id, step: 'negatives' },
        { terms: { leastSpend: 0, clicksMultiple: 0.5, chance: 1 }, on },
      );
      const review = keptReview(1, await loadReview(account.id, undefined, undefined, on));
      const here = planTerms(review, 'negatives', answer.settings as unknown as ReviewSettings, new Set());
      expect(here.length).toBeGreaterThan(0);
      expect(planned).toEqual(sent({ here }).here);
      expect(answer.window).toEqual({ from: review.loaded.window.from, to: review.loaded.window.to });
    },
  );

  test('are judged by the words that are never wanted as soon as these are kept', async () => {
    const why = async () => {
      const { planned } = await planStep({ account: account.id, step: 'negatives' });
      return planned.find(({ told }) => told.subject.name === 'stone jar lid')!.told.reason;
    };
    const keep = (unwanted: string[]) =>
      keepWordLists(THIS_MACHINE, account.id, { own: [], rival: [], unwanted });
    const before = await why();
    await keep(['stone']);
    expect(await why()).toContain('“stone”, which is on the list of what is never wanted');
    await keep([]);
    expect(await why()).toBe(before);
  });
});

describe('the words of an account', () => {
  test('are answered from its last 90 days, spellings that match alike as one', async () => {
    const asked = {
      productId: null,
      length: 1,
      text: '',
      sort: 'clicks',
      minClicks: 5,
      targetAcos: 0.24,
    } as const;
    const { parts } = await askWords(account.id, 'parts', asked);
    const jar = parts.find(({ text }) => text === 'jar')!;
    // Four terms hold it, with 6, 7, 8 and 10 clicks on each of 60 days.
    expect(jar).toMatchObject({ terms: 4, sums: { clicks: DAYS * (6 + 7 + 8 + 10) } });
    const detail = await askWords(account.id, 'part', { text: 'jar', productId: null });
    expect(detail.sums).toEqual(jar.sums);
    const blocked = await askWords(account.id, 'blocks', {
      negatives: [
        { match: 'phrase', expression: 'jars', campaignId: detail.places[0].campaignId, adGroupId: null },
      ],
    });
    expect(blocked.blocks[0].sums).toEqual(jar.sums);
    const { caughtCount } = await askWords(account.id, 'preview', {
      expression: 'stone jar',
      match: 'phrase',
    });
    expect(caughtCount).toBe(2);
    expect(await askWords(account.id, 'standing', {})).toEqual({ findings: [] });
  });
});
