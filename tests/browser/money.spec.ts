import { expect, test } from '@playwright/test';
import type { APIRequestContext, Page } from '@playwright/test';
import type { FieldSumsAnswer } from '../../src/contract/api';
import type { PlanAnswer } from '../../src/contract/plan';
import type { AsJson } from '../../src/contract/packed';
import {
  demoAccount,
  emptyTray,
  evidence,
  freshStage,
  passDays,
  press,
  sendTray,
  stagedIn,
  treeOf,
  watch,
} from './page';

test.beforeAll(freshStage);

let account: number;

test.beforeEach(async ({ request }) => {
  account = await demoAccount(request);
  await emptyTray(request, account);
});

const campaigns = (page: Page) => page.getByRole('table', { name: 'Campaigns', exact: true });
const plan = async (request: APIRequestContext, step: string) =>
  (await (await request.get(`/api/plan?account=${account}&step=${step}`)).json()) as PlanAnswer;

async function openStep(page: Page, step: string) {
  await page.goto(`/round?account=${account}&step=${step}`);
  await expect(campaigns(page).getByRole('row').nth(1)).toBeVisible();
}

/** Cost per click at the top over that on product pages, of all campaigns over the last days. */
async function topOverPages(request: APIRequestContext, from: string, to: string): Promise<number> {
  const answer = await request.get(`/api/field?account=${account}&grain=placement&from=${from}&to=${to}`);
  const { columns } = (await answer.json()) as AsJson<FieldSumsAnswer>;
  const cpc = (placement: number) => {
    let [spend, clicks] = [0, 0];
    columns.placement.forEach((one, row) => {
      if (one !== placement) return;
      spend += columns.spend[row];
      clicks += columns.clicks[row];
    });
    return spend / clicks;
  };
  return cpc(0) / cpc(2);
}

test('placements are accepted with the base bids under them, and the market obeys: clicks at the top cost more, on product pages less', async ({
  page,
  request,
}) => {
  const faults = watch(page);
  const proposed = await plan(request, 'placements');
  await openStep(page, 'placements');

  await test.step('the page proposes what a script gets, and shows the placements side by side', async () => {
    await expect(campaigns(page)).toHaveAttribute('aria-rowcount', String(proposed.summary.count));
    await expect(evidence(page)).toContainText(proposed.proposals[0].reason);
    await expect(evidence(page).getByRole('table', { name: /side by side/ })).toContainText('Modifier now');
  });

  await test.step('one is set by hand: base bids give way', async () => {
    await press(page, 'h');
    const dialog = page.getByRole('dialog');
    await dialog.getByRole('textbox', { name: /Per cent/ }).fill('60');
    await press(page, 'Tab');
    await dialog.getByRole('button', { name: 'Set 1' }).click();
    await press(page, 'Space');
    await expect.poll(async () => (await stagedIn(request, account)).length).toBeGreaterThan(1);
    const [first, ...others] = await stagedIn(request, account);
    expect(first.change).toMatchObject({ kind: 'set-modifier', placement: 'top', to: 0.6 });
    const bids = others.filter(({ change }) => change.kind === 'set-bid');
    expect(bids.length).toBeGreaterThan(0);
    for (const { afterId } of bids) expect(afterId).toBe(first.id);
  });

  await test.step('bids of the round start from there: they are not taken for decided', async () => {
    const [{ change }] = (await stagedIn(request, account)).filter((one) => one.change.kind === 'set-bid');
    const { targetId } = change as { targetId: number };
    const all = await Promise.all(['dead', 'over', 'grow', 'test'].map((step) => plan(request, step)));
    const own = all.flatMap(({ proposals }) => proposals).find(({ subject }) => subject.id === targetId);
    if (own) expect(own.reason).toMatch(/Counted from .* where the modifiers in the tray bring its bid from/);
  });

  const before = await topOverPages(request, proposed.window.from, proposed.window.to);
  await test.step('the rest is accepted after a summary, sent, and 14 days pass', async () => {
    await press(page, 'a');
    await expect(page.getByRole('dialog')).toContainText('modifiers up');
    await press(page, 'Enter');
    await expect.poll(async () => (await plan(request, 'placements')).summary.count).toBe(0);
    await expect(page.getByRole('dialog')).toBeHidden();
    await sendTray(page);
    await passDays(page, account, 14);
  });
  const { today } = await treeOf(request, account);
  const day = (back: number) => new Date(Date.parse(today) - back * 86_400_000).toISOString().slice(0, 10);
  expect(await topOverPages(request, day(12), day(1))).toBeGreaterThan(before * 1.02);
  expect(faults.filter((one) => !one.includes('404'))).toEqual([]);
});

test('money moves from where it lies idle to campaigns that ran dry, the sum to the cent, and they sell more', async ({
  page,
  request,
}) => {
  const faults = watch(page);
  await page.goto(`/round?account=${account}&step=budgets`);

  await test.step('it is asked once what may be spent; until then nothing is proposed', async () => {
    await expect(page.locator('.sentence')).toContainText('ran dry');
    expect((await plan(request, 'budgets')).proposals).toEqual([]);
    await page.getByRole('button', { name: 'Plan with it' }).first().click();
    await expect(campaigns(page).getByRole('row').nth(1)).toBeVisible();
  });

  // What was chosen is kept after a moment.
  await expect.poll(async () => (await plan(request, 'budgets')).summary.count).toBeGreaterThan(10);
  const proposed = await plan(request, 'budgets');
  const budgets = async () =>
    (await treeOf(request, account)).campaigns.reduce((sum, { budget }) => sum + (budget ?? 0), 0);
  const total = await budgets();
  await test.step('a budget that is set by hand stays, and the others give way', async () => {
    await press(page, 'e');
    await page.getByRole('textbox', { name: 'Bid' }).fill('21');
    await press(page, 'Enter');
    await expect(campaigns(page).locator('.edited')).toContainText('21.00');
    await expect(page.locator('.totals')).toContainText('to the cent');
    await press(page, '0');
    await expect(campaigns(page).locator('.edited')).toHaveCount(0);
  });

  await test.step('the plan is accepted as a whole', async () => {
    await expect(campaigns(page)).toHaveAttribute('aria-rowcount', String(proposed.summary.count));
    await press(page, 'a');
    await expect(page.getByRole('dialog')).toContainText('the total stays to the cent');
    await press(page, 'Enter');
    await expect.poll(async () => (await stagedIn(request, account)).length).toBe(proposed.summary.count);
    await expect(page.getByRole('dialog')).toBeHidden();
    await expect(page.locator('.sentence')).toContainText('lies where it is needed');
    const ids = (await stagedIn(request, account)).map(({ id }) => id);
    expect((await request.post('/api/bales', { data: { account, ids } })).ok()).toBe(true);
    await expect.poll(async () => (await stagedIn(request, account)).length).toBe(0);
    expect(await budgets()).toBe(total);
  });

  await test.step('after 14 days those that were raised sell more a day than before', async () => {
    const raised = new Set(
      proposals(proposed).flatMap(({ subject, from, to }) =>
        Number(to) > 1.3 * Number(from) ? [subject.id] : [],
      ),
    );
    expect(raised.size).toBeGreaterThan(2);
    const clicksADay = async (from: string, to: string, days: number) => {
      const answer = await request.get(`/api/field?account=${account}&grain=placement&from=${from}&to=${to}`);
      const { columns } = (await answer.json()) as AsJson<FieldSumsAnswer>;
      let clicks = 0;
      columns.campaignId.forEach((id, row) => (clicks += raised.has(id) ? columns.clicks[row] : 0));
      return clicks / days;
    };
    const before = await clicksADay(proposed.window.from, proposed.window.to, 30);
    await passDays(page, account, 14);
    const { today } = await treeOf(request, account);
    const day = (back: number) => new Date(Date.parse(today) - back * 86_400_000).toISOString().slice(0, 10);
    expect(await clicksADay(day(14), day(1), 14)).toBeGreaterThan(before * 1.02);
  });
  expect(faults).toEqual([]);
});

test('a product may spend so much a month: its pace stands in the overview, a plan that is dropped comes back', async ({
  page,
}) => {
  const faults = watch(page);
  await page.goto(`/round?account=${account}`);
  const parts = page.getByRole('region', { name: 'Plans of parts' });
  await parts.getByRole('button', { name: 'Plan a part …' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('combobox', { name: 'Which' }).fill('glass');
  await page.getByRole('option', { name: 'Glass weights' }).click();
  await dialog.getByRole('textbox', { name: 'May spend' }).fill('100');
  await dialog.getByText('each month').click();
  await dialog.getByRole('button', { name: 'Keep the plan' }).click();
  const row = parts.getByRole('row', { name: 'Glass weights' });
  // More than that was spent already: the money is gone, which every page tells.
  await expect(row).toContainText('▲');
  await expect(page.getByText('may spend 100.00 EUR this month')).toBeVisible();
  await row.getByRole('button', { name: 'Drop the plan' }).click();
  await expect(row).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row).toContainText('▲');
  await row.getByRole('button', { name: 'Drop the plan' }).click();
  await expect(row).toHaveCount(0);
  expect(faults).toEqual([]);
});

const proposals = ({ proposals: list }: PlanAnswer) => list;
