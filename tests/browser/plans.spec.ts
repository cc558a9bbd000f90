import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import type { PlanAnswer, PlansAnswer, SourceTerm } from '../../src/contract/build';
import { demoAccount, emptyTray, freshStage, passDays, pick, press, stagedIn, watch } from './page';

test.beforeAll(freshStage);

let account: number;
test.beforeEach(async ({ request }) => {
  account = await demoAccount(request);
  await emptyTray(request, account);
});

const plans = async (page: Page) =>
  (await (await page.request.get(`/api/build?account=${account}`)).json()) as PlansAnswer;
const planNow = async (page: Page) => {
  const [{ id }] = (await plans(page)).plans;
  return (await (await page.request.get(`/api/build/plan?account=${account}&id=${id}`)).json()) as PlanAnswer;
};
const wrong = ({ faults }: PlanAnswer) => faults.filter(({ weight }) => weight === 'wrong');
const sourced = async (page: Page, product: number) =>
  (
    (await (
      await page.request.get(`/api/build/terms?account=${account}&product=${product}&from=market`)
    ).json()) as { terms: SourceTerm[] }
  ).terms;

/** A refused character, too many words, one that stands there already, too long a word, and no word at all. */
const BAD = ['yoghurt cups!', 'a b c d e f g h i j k l', 'Yoghurt Pot', 'x'.repeat(90), '%%%'];

test('a product without campaigns: 40 pasted terms, five of them mended, launched with one refusal, mended again; after 14 days every part has figures', async ({
  page,
}) => {
  test.setTimeout(240_000);
  const faults = watch(page);
  const product = (await plans(page)).products.find(({ has }) => Object.keys(has).length === 0)!;
  const known = await sourced(page, product.id);
  const good = known.filter(({ isItem, text }) => !isItem && text.length < 80).slice(0, 34);
  const items = known.filter(({ isItem }) => isItem).slice(0, 12);

  await test.step('it begins with what is known of the product', async () => {
    await page.goto(`/build?account=${account}&part=plan`);
    await expect(page.getByText('No plan is open.')).toBeVisible();
    await press(page, 'n');
    await expect(page.getByRole('dialog')).toContainText('It has no campaigns yet.');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByText(new RegExp(`^${product.name}: `))).toBeVisible();
    await expect(page.getByText(/margin 36 %.*target ACOS 24 %/)).toBeVisible();
  });

  await test.step('what is pasted is told line by line, and mended by key', async () => {
    await press(page, '2');
    const box = page.getByRole('textbox', { name: 'Terms to add' });
    await box.fill([...good.map(({ text }) => text), 'yoghurt medicine', ...BAD].join('\n'));
    await box.press('Control+Enter');
    await expect(page.getByText(/5 lines are wrong/)).toBeVisible();
    await page.getByRole('checkbox', { name: /show these only/ }).click();
    const table = page.getByRole('table', { name: 'Terms of the plan' });
    await expect(table).toHaveAttribute('aria-rowcount', '5');
    await table.getByText(/market takes 10/).click();
    await press(page, 'Control+a', 'm');
    // What can be written is written; what stands there already, or holds no word, is taken out.
    await expect(page.getByText(/lines? (is|are) wrong/)).toBeHidden();
    // Three of the good ones are phrases too.
    await table.getByRole('checkbox', { name: 'phrase' }).nth(0).click();
    await table.getByRole('checkbox', { name: 'phrase' }).nth(1).click();
    await table.getByRole('checkbox', { name: 'phrase' }).nth(2).click();
  });

  await test.step('items of rivals are pasted, dearer rivals of the category added', async () => {
    await press(page, '3');
    const box = page.getByRole('textbox', { name: 'Item codes to add' });
    await box.fill(items.map(({ text }) => text).join(', '));
    await box.press('Control+Enter');
    await page.getByRole('button', { name: /^Rivals that cost more/ }).click();
    await expect.poll(async () => (await planNow(page)).plan.refined.length).toBe(1);
  });

  await test.step('six campaigns share 60 a day, and what is kept out of where can be left out', async () => {
    await page.getByRole('main').focus();
    await press(page, '1');
    await page.getByRole('checkbox', { name: /^Broad keywords/ }).click();
    const most = page.getByLabel('exact keywords a campaign');
    await most.fill('');
    await most.press('Enter');
    const total = page.getByLabel('Total budget, EUR');
    await total.fill('60');
    await total.press('Enter');
    await expect(page.getByText(/: 6 campaigns, 60\.00 EUR a day\./)).toBeVisible();
    await expect
      .poll(async () => (await planNow(page)).campaigns.map(({ budget }) => budget))
      .toEqual(Array.from({ length: 6 }, () => 10_000_000));
    const matrix = page.getByRole('table', { name: 'Cross-negatives' });
    await matrix.getByRole('checkbox').first().click();
    await expect.poll(async () => (await planNow(page)).plan.uncrossed).toEqual(['exact > auto']);
    await press(page, 'u');
    await expect.poll(async () => (await planNow(page)).plan.uncrossed).toEqual([]);
    expect(wrong(await planNow(page))).toEqual([]);
  });

  await test.step('launched, the market refuses a line: it is told there, mended, and sent again', async () => {
    await page.getByRole('button', { name: 'Launch' }).click();
    await page.getByRole('button', { name: 'Send', exact: true }).click();
    await expect(page.getByRole('status').filter({ hasText: 'refused' })).toContainText('1 refused');
    await page.getByRole('tab', { name: /^Terms/ }).click();
    await page.getByRole('checkbox', { name: /1 line is wrong: show these only/ }).click();
    const line = page.getByRole('row', { name: /no bids on “medicine”/ });
    await line.getByRole('textbox').fill('yoghurt maker spare glasses');
    await line.getByRole('textbox').press('Enter');
    await page.getByRole('button', { name: 'Send again' }).click();
    await page.getByRole('button', { name: /^(Keep and send|Send)$/ }).click();
    await expect
      .poll(async () => [...new Set(Object.values((await planNow(page)).lines).map(({ state }) => state))], {
        timeout: 20_000,
      })
      .toEqual(expect.arrayContaining(['accepted']));
    await expect(page.getByRole('status').filter({ hasText: 'made' })).toBeVisible();
    // The mended line may be on its way still: what was made before is told as made.
    await expect.poll(async () => await stagedIn(page.request, account)).toEqual([]);
  });

  await test.step('after 14 days every part has figures', async () => {
    await passDays(page, account, 14);
    const { campaigns } = await planNow(page);
    const { items } = (await (
      await page.request.get(`/api/sums?account=${account}&grain=campaign&from=2026-11-23&to=2026-12-06`)
    ).json()) as { items: { campaignId: number; impressions: number }[] };
    const shown = new Map(items.map((one) => [one.campaignId, one.impressions]));
    expect(campaigns.map(({ part }) => part)).toEqual([
      'auto',
      'phrase',
      'exact',
      'rivals',
      'own',
      'categories',
    ]);
    for (const { campaignId, name } of campaigns)
      expect([name, (shown.get(campaignId!) ?? 0) > 0]).toEqual([name, true]);
  });
  expect(faults).toEqual([]);
});

test('by keys alone: a plan is begun, terms are taken from what sold, it is thrown away and taken back', async ({
  page,
}) => {
  await page.goto(`/build?account=${account}&part=plan`);
  await expect(page.getByRole('tab', { name: 'Plans' })).toBeVisible();
  const before = (await plans(page)).plans.length;
  await press(page, 'n');
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.getByRole('combobox', { name: 'Product', exact: true }).focus();
  await press(page, 'Control+a');
  await page.keyboard.type('Airlock');
  await press(page, 'ArrowDown', 'Enter');
  await page.getByRole('button', { name: 'Begin' }).focus();
  await press(page, 'Enter');
  await expect(page.getByText(/^Airlock lids, 6 pieces: /)).toBeVisible();
  await press(page, '2');
  await page.getByRole('combobox', { name: 'Take from', exact: true }).focus();
  await press(page, 'Enter');
  await press(page, 'Enter');
  await expect(
    page.getByRole('dialog', { name: 'Terms that sold' }).getByRole('checkbox').first(),
  ).toBeVisible();
  await page.getByRole('button', { name: /^Add \d+$/ }).focus();
  await press(page, 'Enter');
  const table = page.getByRole('table', { name: 'Terms of the plan' });
  await expect.poll(async () => (await planNow(page)).plan.terms.length).toBeGreaterThan(20);
  const count = (await planNow(page)).plan.terms.length;
  await expect(table).toHaveAttribute('aria-rowcount', String(count));
  // What has an exact bid already is told at its line.
  await expect(
    table.getByText(/It has an exact bid in “Airlock lids – exact” already/).first(),
  ).toBeVisible();
  await page.getByRole('main').focus();
  await press(page, 'j', 'Shift+ArrowDown', 'b');
  await expect
    .poll(
      async () => (await planNow(page)).plan.terms.filter(({ matches }) => matches.includes('broad')).length,
    )
    .toBe(2);
  await press(page, 'Delete');
  await expect(table).toHaveAttribute('aria-rowcount', String(count - 2));
  await press(page, 'u');
  await expect(table).toHaveAttribute('aria-rowcount', String(count));
  await pick(page, 'More', 'Throw the plan away');
  await expect
    .poll(async () => (await plans(page)).plans.filter(({ isThrown }) => !isThrown).length)
    .toBe(before);
  await page.getByRole('main').focus();
  await press(page, 'u');
  await expect
    .poll(async () => (await plans(page)).plans.filter(({ isThrown }) => !isThrown).length)
    .toBe(before + 1);
});
