import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import {
  demoAccount,
  freshStage,
  lensRows,
  newAccount,
  openField,
  pick,
  press,
  stagedIn,
  watch,
} from './page';

test.beforeAll(freshStage);

const file = (name: string, ...lines: string[]) => ({
  name,
  mimeType: 'text/csv',
  buffer: Buffer.from(`${lines.join('\n')}\n`),
});
const give = (page: Page, ...of: Parameters<typeof file>) =>
  page.getByLabel('Report file').setInputFiles(file(...of));

const TERMS = 'Campaign,Ad group,Target,Match type,Search term,Impressions,Clicks,Spend,Orders,Sales,Shelf';
const BIDS = 'Campaign,Campaign state,Ad group,Ad group state,Target,Match type,Max CPC,State';
const bid = (target: string, value: string) => `Buckets,enabled,all,enabled,${target},exact,${value},enabled`;

test('an account fed by files alone: a report summed over weeks, bids from a list, and what was carried out by hand', async ({
  page,
  request,
}) => {
  const faults = watch(page);
  const account = await newAccount(request, 'Files alone');
  await test.step('without days the report is asked for its period; what it holds besides is named', async () => {
    await page.goto(`/round?account=${account}`);
    const rows = [12, 80, 140].map(
      (clicks, at) =>
        `Buckets,all,bucket ${at},exact,tin bucket ${at},${clicks * 40},${clicks},${clicks}.00,${at},${at * 20}.00,A`,
    );
    await give(page, 'sums.csv', 'Our shop', TERMS, ...rows);
    const period = page.getByRole('group', { name: 'Summed over a period' });
    await expect(period).toBeVisible();
    for (const [label, day] of [
      ['From', '01Oct2026'],
      ['To', '10Nov2026'],
    ]) {
      const parts = period.getByRole('group', { name: label, exact: true }).getByRole('spinbutton');
      // A slow machine may take the first letters before the field has the focus: typed again, they take their place.
      await expect(async () => {
        await parts.first().click();
        await page.keyboard.type(day, { delay: 20 });
        await expect(parts.first()).toHaveText(day.slice(0, 2), { timeout: 3000 });
        await expect(parts.last()).toHaveText(day.slice(-4), { timeout: 3000 });
      }).toPass();
    }
    await period.getByRole('button', { name: 'Import it as one period' }).click();
    await expect(
      page.getByText(/3 rows taken in \(1 Oct 2026 to 10 Nov 2026\).*Not read: “Shelf”/),
    ).toBeVisible();
    await page.getByRole('button', { name: 'Match its columns' }).click();
    await expect(page.getByRole('form', { name: 'Match the columns' })).toContainText('line 2: Campaign');
    await page.getByRole('button', { name: 'Show the figures' }).click();
    await expect(page.getByText('came summed: the window holds them whole')).toBeVisible();
    await expect(page.getByTitle(/^Window/)).toContainText('41 days');
  });

  await test.step('a list of bids opens the bid steps on those sums', async () => {
    await page.goto(`/setup?account=${account}`);
    await pick(page, 'Kind of file', 'Campaigns and targets');
    await give(
      page,
      'bids.csv',
      BIDS,
      bid('bucket 0', '0.80'),
      bid('bucket 1', '0.90'),
      bid('bucket 2', '1.00'),
    );
    // The report's own message has its days.
    await expect(page.getByText(/^3 rows taken in\./).first()).toBeVisible();
    await expect(page.getByRole('region', { name: 'Summed over a period' })).toContainText('1 Oct 2026');
    await page.goto(`/round?account=${account}&step=over`);
    await expect(page.locator('.table-row').first()).toBeVisible();
    await press(page, 'a');
    await expect(page.getByRole('dialog')).toBeVisible();
    await press(page, 'Enter');
    await expect.poll(async () => (await stagedIn(request, account)).length).toBeGreaterThan(0);
  });

  await test.step('carried out by hand, it becomes a bale that the next list of bids bears out line by line', async () => {
    const staged = await stagedIn(request, account);
    await page.getByRole('button', { name: 'Carried out …' }).click();
    await page.getByLabel('What the next import of bids bears out').click();
    await page.getByRole('button', { name: 'Make it a bale' }).click();
    await expect(page.getByRole('heading', { name: /carried out by hand on/ })).toBeVisible();
    await expect(page.getByText(`0 carried out, 0 not carried out, ${staged.length} open.`)).toBeVisible();
    const [first, ...others] = staged.map(
      ({ subject, change }) => [subject!, 'to' in change ? Number(change.to) / 1e6 : 0] as const,
    );
    await page.goto(`/setup?account=${account}`);
    await pick(page, 'Kind of file', 'Campaigns and targets');
    await give(
      page,
      'bids.csv',
      BIDS,
      bid(first[0], String(first[1])),
      ...others.map(([target]) => bid(target, '7.77')),
    );
    await expect(page.getByText('Of the changes carried out by hand: 1 confirmed').first()).toBeVisible();
    await page.goto(`/ledger?account=${account}`);
    await expect(page.getByText('● carried out')).toHaveCount(1);
    await expect(page.getByText('the import says the bid is 7.77').first()).toBeVisible();
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect.poll(async () => (await stagedIn(request, account)).length).toBe(1);
  });

  await test.step('the sum is removed, and its figures with it', async () => {
    await page.goto(`/setup?account=${account}`);
    await page
      .getByRole('region', { name: 'Summed over a period' })
      .getByRole('button', { name: 'Remove' })
      .click();
    await page.getByRole('dialog').getByRole('button', { name: 'Remove' }).click();
    await expect(page.getByText('No figures yet')).toBeVisible();
  });
  expect(faults).toEqual([]);
});

test('a campaign’s target is tried on its row, kept, and taken back', async ({ page, request }) => {
  const account = await demoAccount(request);
  await openField(page, account, 'Campaigns', '&lens=campaigns&cols=targetAcos,acos');
  const evidence = page.getByRole('complementary', { name: 'Evidence' });
  const field = evidence.getByLabel('Target ACOS to try');
  await expect(evidence).toContainText('not its own: a wider one counts');
  await field.fill('12');
  await field.press('Enter');
  const trial = evidence.getByRole('status', { name: 'Tried target' });
  await expect(trial).toContainText(/\d+ bids down, \d+ up; a month in EUR/);
  await expect(trial).toContainText(/spend .*→.*sales .*→.*profit .*→/);
  await trial.getByRole('button', { name: 'Keep 12.0 %' }).click();
  await expect(evidence.getByText('its own', { exact: true })).toBeVisible();
  const row = lensRows(page, 'Campaigns').locator('.table-row').first();
  await expect(row).toContainText('12.0 %');
  await press(page, 'u');
  await expect(evidence).toContainText('not its own: a wider one counts');
  await expect(row).not.toContainText('12.0 %');
});

test('the cross-tab goes by week, and a week opens its days', async ({ page, request }) => {
  const account = await demoAccount(request);
  await page.goto(`/field?account=${account}&lens=targets&shape=cross&down=product&across=week&cell=spend`);
  const cross = page.getByRole('table', { name: 'Spend by product and week' });
  const weeks = cross.getByRole('columnheader').filter({ hasText: '–' });
  await expect(weeks.first()).toBeVisible();
  const [name, next] = [await weeks.nth(1).innerText(), await weeks.nth(2).innerText()];
  await weeks.nth(1).getByRole('button').click();
  await expect(page.getByTitle(/^Window/)).toContainText(name);
  await expect(page.getByTitle(/^Window/)).toContainText('7 days');
  expect(next).not.toBe(name);
});

test('a window is compared with any span, and the link keeps it', async ({ page, request }) => {
  const account = await demoAccount(request);
  await page.goto(`/round?account=${account}&versus=2026-08-10..2026-09-08`);
  const button = page.getByTitle(/^Window/);
  await expect(button).toContainText('against 10 Aug – 8 Sep');
  await expect(page.getByText(/ad sales (up|down) .* on 10 Aug – 8 Sep/)).toBeVisible();
  await button.click();
  await page.getByRole('button', { name: /days before it$/ }).click();
  await expect(button).not.toContainText('against');
  await expect(page).not.toHaveURL(/versus/);
});
