import { afterAll, beforeAll, beforeEach, describe, expect, test } from 'vitest';
import { campaignsOf } from '../../src/core/build';
import { USUAL_LIMITS } from '../../src/core/changes';
import type { BuildPlan } from '../../src/core/build';
import { listCampaigns } from '../../src/db/queries/structure';
import { beginPlan, loadPlans, savePlan, throwAway } from '../../src/server/build/plans';
import { launchPlan, stagePlan } from '../../src/server/build/launch';
import { planFile, takePlanFile } from '../../src/server/build/planFile';
import { workOut } from '../../src/server/build/workOut';
import { loadChanges } from '../../src/server/changes/loadChanges';
import { sendBale } from '../../src/server/changes/sendBale';
import { undoChanges } from '../../src/server/changes/undoChanges';
import { closeContext, db } from '../../src/server/context/context';
import { THIS_MACHINE } from '../../src/server/trail';
import { aTerm } from '../make/plan';
import { planMaker } from './planMaker';
import { aShop } from './shop';
import type { Shop } from './shop';

let shop: Shop;
let account: number;

beforeAll(async () => {
  shop = await aShop();
  ({ account } = shop);
}, 240_000);
beforeEach(() => shop.calm());
afterAll(async () => {
  await shop.end();
  await closeContext();
});

const { aPlan, onMarket } = planMaker(() => shop);
const tray = () => loadChanges(account, { state: 'staged' });
/** Campaigns of the market by the names of a plan, with all that stands in them, in the plan's words. */
async function readBack(plan: BuildPlan) {
  const [campaigns, adGroups, ads, targets, negatives] = await Promise.all([
    onMarket('campaigns'),
    onMarket('ad-groups'),
    onMarket('ads'),
    onMarket('targets'),
    onMarket('negatives'),
  ]);
  return campaignsOf(plan, USUAL_LIMITS).map(({ key, part, isBudgetSet, name }) => {
    const { id, budget, ...campaign } = campaigns.find((one) => one.name === name)!;
    const adGroup = adGroups.find(({ campaignId }) => campaignId === id)!;
    const { name: _, ...fields } = campaign;
    return {
      key,
      part,
      isBudgetSet,
      name,
      budget,
      fields,
      adGroup: adGroup.name,
      defaultBid: adGroup.defaultBid,
      ads: ads.filter(({ adGroupId }) => adGroupId === adGroup.id).length,
      targets: targets
        .filter(({ adGroupId }) => adGroupId === adGroup.id)
        .map(({ kind, match, expression, refine, bid }) => ({ kind, match, expression, refine, bid })),
      negatives: negatives
        .filter(({ campaignId, adGroupId }) => campaignId === id && adGroupId === adGroup.id)
        .map(({ match, expression }) => ({ match, expression })),
    };
  });
}

describe('a plan', () => {
  test('launched is on the market as it was planned: fields, bids, refinements, cross-negatives', async () => {
    const { id } = await aPlan((plan) => ({
      groupsApart: true,
      settings: { ...plan.settings, endsOn: '2098-12-31', pacing: 'fast', flex: 'down only', top: 0.2 },
      own: { 'exact 1': { state: 'paused' } },
      budgets: { broad: 12_340_000 },
      more: [],
    }));
    const { sent, trouble } = await launchPlan(THIS_MACHINE, account, id);
    expect([sent > 40, trouble]).toEqual([true, '']);
    const { plan, lines, faults } = await workOut(account, id);
    expect([...new Set(Object.values(lines).map(({ state }) => state))]).toEqual(['accepted']);
    expect(faults).toEqual([]);
    const wanted = campaignsOf(plan, USUAL_LIMITS);
    expect((await readBack(plan)).map(({ key }) => key)).toEqual(wanted.map(({ key }) => key));
    for (const [at, one] of (await readBack(plan)).entries()) {
      const { key, part, name, budget, fields, defaultBid, targets, negatives, isBudgetSet } = wanted[at];
      const { startsOn: _, ...rest } = fields;
      expect(one).toMatchObject({
        key,
        part,
        name,
        budget,
        defaultBid,
        isBudgetSet,
        fields: rest,
        adGroup: name,
        ads: 1,
      });
      expect(one.targets).toEqual(
        targets.map(({ kind, match, expression, refine, bid }) => ({ kind, match, expression, refine, bid })),
      );
      expect(one.negatives).toEqual(negatives);
    }
  });

  test('with faults is told all of them, and makes nothing', async () => {
    const { id, faults } = await aPlan((plan) => ({
      terms: [aTerm('what!'), aTerm('x'.repeat(90))],
      total: 1000,
      parts: { ...plan.parts, rivals: { ...plan.parts.rivals, bid: 1 } },
    }));
    const wrong = faults.filter(({ weight }) => weight === 'wrong');
    expect(wrong.length).toBeGreaterThan(5);
    const before = await listCampaigns(db(), account);
    await expect(launchPlan(THIS_MACHINE, account, id)).rejects.toMatchObject({
      code: 'bad-request',
      faults: wrong.map(({ at, sentence }) => ({ where: `plan.${at}`, what: sentence })),
    });
    expect(await tray()).toEqual([]);
    expect(await listCampaigns(db(), account)).toEqual(before);
  });

  test('of which the market refuses a line says so there; mended and sent again it makes what is missing, and nothing twice', async () => {
    await shop.books`
      update quaymarket.account set limits = jsonb_set(limits, '{maxBid}', '900000') where account_id = ${shop.key}`;
    const { id, plan } = await aPlan((one) => ({
      terms: one.terms.map((term, at) => (at === 2 ? { ...term, bids: { exact: 1_500_000 } } : term)),
    }));
    await launchPlan(THIS_MACHINE, account, id);
    const { lines, plan: launched } = await workOut(account, id);
    const refused = Object.entries(lines).filter(([, { state }]) => state === 'refused');
    expect(refused).toMatchObject([
      [
        `exact 1 | exact ${plan.terms[2].text}`,
        { answer: expect.stringMatching(/above the market’s maximum/) as string },
      ],
    ]);
    const campaigns = (await onMarket('campaigns')).length;
    const terms = launched.terms.map((term, at) => (at === 2 ? { ...term, bids: {} } : term));
    // One more term, and one that is taken out: what stands stays where it is.
    await savePlan(THIS_MACHINE, {
      account,
      id,
      plan: { ...launched, terms: [...terms.slice(1), aTerm(`late crock ${id}`)] },
    });
    const { sent } = await launchPlan(THIS_MACHINE, account, id);
    const after = await workOut(account, id);
    expect(Object.values(after.lines).every(({ state }) => state === 'accepted')).toBe(true);
    expect((await onMarket('campaigns')).length).toBe(campaigns);
    // The mended one, the late one, and the late one’s three cross-negatives: automatic, broad, phrase.
    expect(sent).toBe(5);
    expect(await launchPlan(THIS_MACHINE, account, id)).toMatchObject({ baleId: null, sent: 0 });
  });

  test('launched by two at once is made once', async () => {
    const { id, campaigns } = await aPlan();
    const before = (await onMarket('campaigns')).length;
    const ends = await Promise.allSettled([1, 2].map(() => launchPlan(THIS_MACHINE, account, id)));
    expect(ends.some(({ status }) => status === 'fulfilled')).toBe(true);
    expect((await onMarket('campaigns')).length).toBe(before + campaigns.length);
  });

  test('is undone by ending what it made', async () => {
    const { id } = await aPlan();
    await launchPlan(THIS_MACHINE, account, id);
    const { campaigns, lines } = await workOut(account, id);
    const { ids } = await undoChanges(THIS_MACHINE, {
      account,
      ids: campaigns.map(({ key }) => lines[`${key} | campaign`].changeId),
    });
    await sendBale(THIS_MACHINE, account, ids);
    const names = new Set(campaigns.map(({ name }) => name));
    expect((await onMarket('campaigns')).filter(({ name }) => names.has(name))).toEqual([]);
    // What has ended counts as never made: launched again it is made anew.
    expect((await workOut(account, id)).lines).toEqual({});
    await launchPlan(THIS_MACHINE, account, id);
    expect((await onMarket('campaigns')).filter(({ name }) => names.has(name)).length).toBe(campaigns.length);
  });

  test('put to the tray waits there, and taken out it leaves no draft', async () => {
    const { id, campaigns } = await aPlan();
    await stagePlan(THIS_MACHINE, account, id);
    expect((await workOut(account, id)).campaigns.every(({ campaignId }) => campaignId !== null)).toBe(true);
    const drafts = async () =>
      (await listCampaigns(db(), account)).filter(({ state }) => state === 'draft').length;
    expect(await drafts()).toBe(campaigns.length);
    await shop.calm();
    expect(await drafts()).toBe(0);
    expect((await workOut(account, id)).lines).toEqual({});
  });

  test('is thrown away and taken back, and begins another product’s like it', async () => {
    const { id, plan } = await aPlan();
    await throwAway(THIS_MACHINE, { account, id, back: false });
    await expect(launchPlan(THIS_MACHINE, account, id)).rejects.toThrow(/thrown away/);
    await throwAway(THIS_MACHINE, { account, id, back: true });
    expect((await loadPlans(account)).plans.find((one) => one.id === id)).toMatchObject({ isThrown: false });
    const other = (await loadPlans(account)).products.find((one) => one.id !== shop.product)!;
    const like = await beginPlan(THIS_MACHINE, { account, productId: other.id, like: id });
    expect(like.plan).toMatchObject({ productId: other.id, terms: plan.terms, code: other.sku });
  });

  test.each(['csv', 'xlsx', 'json'] as const)('as %s comes back the same', async (format) => {
    const { id, plan } = await aPlan((one) => ({
      own: { auto: { endsOn: '2098-01-01' } },
      names: { auto: '=A name, with “quotes” and, commas' },
      uncrossed: ['exact > auto'],
      terms: [
        ...one.terms,
        { ...aTerm('no type'), matches: [] },
        { ...aTerm('dear', ['broad']), bids: { broad: 550_000 } },
      ],
      mostKeywords: null,
    }));
    const { body } = await planFile(account, id, format);
    const again = await takePlanFile(THIS_MACHINE, account, body);
    expect(again.id).not.toBe(id);
    expect(again.plan).toEqual(plan);
  });

  test('a plan’s file with lines that nobody can read is told each of them, and nothing is kept', async () => {
    const before = (await loadPlans(account)).plans.length;
    const lines = 'what,name,bid,value\nproduct,B0STRANGE1,,first\nhat,x,,\nexact,oak,abc,\n';
    const bytes = (async function* () {
      yield new TextEncoder().encode(lines);
    })();
    await expect(takePlanFile(THIS_MACHINE, account, bytes)).rejects.toMatchObject({
      faults: [
        { where: 'line 2', what: expect.stringContaining('B0STRANGE1') as string },
        { where: 'line 3', what: expect.stringContaining('hat') as string },
        { where: 'line 4', what: expect.stringContaining('abc') as string },
      ],
    });
    expect((await loadPlans(account)).plans.length).toBe(before);
  });
});
