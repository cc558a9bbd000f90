import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { aReport, aReportRow } from '../make/report';
import {
  demoAccount,
  emptyTray,
  freshStage,
  lensRows,
  namesIn,
  newAccount,
  openField,
  pick,
  press,
  watch,
} from './page';

test.beforeAll(freshStage);

const bar = 'Change by hand';

test('keywords over 1.5 x their target are found account-wide, kept as a swath, and lowered 15 %', async ({
  page,
  request,
}) => {
  const faults = watch(page);
  const account = await demoAccount(request);
  await emptyTray(request, account);
  await openField(page, account, 'Keywords', '&lens=keywords');
  // The worker that the page started before its scripts came is the one that answers.
  expect(page.workers()).toHaveLength(1);
  const all = Number(await lensRows(page, 'Keywords').getAttribute('aria-rowcount'));

  await test.step('two conditions are stacked', async () => {
    for (const [field, value] of [
      ['Clicks', '10'],
      ['ACOS ÷ target', '1.5'],
    ]) {
      await press(page, 's');
      await pick(page, 'Field', field);
      await page.getByLabel('Value').fill(value);
      await press(page, 'Enter');
      await expect(page.getByLabel('Value')).toBeHidden();
    }
    await expect(page.getByRole('group', { name: 'Conditions' })).toContainText('ACOS ÷ target ≥ 1.5');
    await expect(page).toHaveURL(/where=clicks%3E%3D10&where=vsTarget%3E%3D1\.5/);
  });
  const found = Number(await lensRows(page, 'Keywords').getAttribute('aria-rowcount'));
  expect(found).toBeGreaterThan(3);
  expect(found).toBeLessThan(all / 4);

  await test.step('kept by a name, found again by it, in every browser', async () => {
    await press(page, 'v');
    await page.getByLabel('Name of the swath').fill('Far over target');
    await press(page, 'Enter');
    await expect(page.getByRole('button', { name: 'Swath: Far over target' })).toBeVisible();
    await page.evaluate(() => localStorage.clear());
    await openField(page, account, 'Keywords', '&lens=keywords&sort=-clicks');
    await press(page, 'v');
    await page.getByRole('button', { name: /^Far over target/ }).click();
    await expect(lensRows(page, 'Keywords')).toHaveAttribute('aria-rowcount', String(found));
  });

  await test.step('lowered: seen before they are staged, marked in their rows after', async () => {
    await press(page, 'Control+a');
    const form = page.getByRole('form', { name: bar });
    await expect(form).toContainText(/\d+ down · on average \d\.\d\d → \d\.\d\d EUR/);
    await form.getByRole('button', { name: /^Stage \d+$/ }).click();
    await expect(page.getByRole('region', { name: 'Tray' })).toContainText(/\d+ changes/);
    await expect(lensRows(page, 'Keywords').getByText('→').first()).toBeVisible();
    const staged = (await (await request.get(`/api/changes?account=${account}&state=staged`)).json()) as {
      change: { from: number | null; to: number };
      reason: string;
    }[];
    for (const { change, reason } of staged) {
      // One that bid its ad group's default gets a bid of its own.
      if (change.from !== null) expect(change.to).toBeLessThanOrEqual(change.from * 0.85 + 1);
      expect(reason).toBe('By hand: −15 %.');
    }
  });

  await test.step('not a second time unseen: what waits in the tray is left out and told; u takes it back', async () => {
    await press(page, 'Control+a');
    await expect(page.getByRole('form', { name: bar })).toContainText('wait in the tray');
    await press(page, 'u');
    await expect(page.getByRole('button', { name: 'Tray · 0', exact: true })).toBeVisible();
  });
  expect(faults).toEqual([]);
});

test('automatic groups are compared by campaign in the cross-tab; a cell opens its rows', async ({
  page,
  request,
}) => {
  const account = await demoAccount(request);
  await page.goto(`/field?account=${account}&lens=auto&shape=cross&down=campaign&across=kind`);
  const cross = page.getByRole('table', { name: 'ACOS by campaign and kind' });
  const columns = cross.getByRole('columnheader');
  await expect(columns.filter({ hasText: 'near searches' })).toBeVisible();
  // The grand total is the ACOS of all sums, as the sentence above tells it, not a mean of ratios.
  const total = (await cross.locator('tbody tr').first().locator('td').first().innerText()).match(
    /[\d.]+ %/,
  )![0];
  await expect(page.getByText(`ACOS ${total}.`)).toBeVisible();
  const row = cross.locator('tbody tr').nth(1);
  const campaign = await row.getByRole('rowheader').innerText();
  await row.locator('td').nth(1).getByRole('button').click();
  await expect(lensRows(page, 'Auto targets')).toBeVisible();
  await expect(page.getByRole('navigation', { name: 'Inside' })).toContainText(campaign);
  await expect(lensRows(page, 'Auto targets')).toHaveAttribute('aria-rowcount', '1');
  await page.goBack();
  await expect(cross).toBeVisible();
});

test('what is brushed on the cut line is what the rows show', async ({ page, request }) => {
  const account = await demoAccount(request);
  await openField(page, account, 'Keywords', '&lens=keywords');
  const picture = page.getByRole('img', { name: /^Cut line at/ });
  const box = (await picture.boundingBox())!;
  await page.mouse.move(box.x + box.width * 0.3, box.y + box.height * 0.15);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width * 0.6, box.y + box.height * 0.5, { steps: 5 });
  await page.mouse.up();
  const chip = page.getByText(/^In the brushed area: \d+$/);
  await expect(chip).toBeVisible();
  const count = (await chip.innerText()).match(/\d+/)![0];
  await expect(lensRows(page, 'Keywords')).toHaveAttribute('aria-rowcount', count);
  await press(page, 'Escape');
  await expect(chip).toBeHidden();
});

test('by keyboard alone: a lens, into a campaign and out, a bid edited, found by name', async ({
  page,
  request,
}) => {
  const faults = watch(page);
  const account = await demoAccount(request);
  await emptyTray(request, account);
  await openField(page, account, 'Keywords', '&lens=keywords');
  await press(page, '6');
  await expect(lensRows(page, 'Campaigns').locator('.table-row').first()).toBeVisible();
  const campaign = await namesIn(page, 'Campaigns').first().innerText();
  await press(page, 'Enter');
  await expect(page.getByRole('navigation', { name: 'Inside' })).toContainText(campaign);
  await expect(lensRows(page, 'Ad groups').locator('.table-row').first()).toBeVisible();
  await press(page, 'Backspace', '1');
  await expect(lensRows(page, 'Keywords').locator('.table-row').first()).toBeVisible();

  await press(page, 'e');
  await page.getByLabel('Bid', { exact: true }).fill('0.77');
  await press(page, 'Enter');
  await expect(lensRows(page, 'Keywords').locator('.table-row').first()).toContainText('→ 0.77');
  await press(page, ']');
  await expect(lensRows(page, 'Keywords').locator('.table-row').first()).toContainText('→ 0.81');
  await press(page, 'u', 'u');
  await expect(page.getByRole('button', { name: 'Tray · 0', exact: true })).toBeVisible();

  await press(page, 'Control+k');
  await page.getByRole('combobox', { name: 'Find or do' }).fill(campaign.slice(0, 12));
  await expect(page.getByRole('option', { name: `campaign ${campaign}` })).toBeVisible();
  await page.getByRole('combobox', { name: 'Find or do' }).fill('sold by something');
  await press(page, 'Enter');
  await expect(lensRows(page, 'Search terms').locator('.table-row').first()).toBeVisible();
  await expect(page.getByRole('button', { name: 'Swath: Sold by something wider' })).toBeVisible();
  expect(faults).toEqual([]);
});

test('columns are chosen, widened by key, and come back; rows leave as a file', async ({ page, request }) => {
  const account = await demoAccount(request);
  await openField(page, account, 'Keywords', '&lens=keywords');
  await press(page, 'o');
  const columns = page.getByRole('group', { name: 'Columns' });
  await columns.getByRole('checkbox', { name: 'Days since change' }).check();
  await columns.getByRole('checkbox', { name: 'Where' }).uncheck();
  await press(page, 'Escape');
  await expect(page.getByRole('columnheader', { name: 'Days since change' })).toBeAttached();
  await expect(lensRows(page, 'Keywords').getByRole('columnheader', { name: 'Where' })).toHaveCount(0);
  const grip = page.getByRole('separator', { name: 'Width of Keyword' });
  const before = Number(await grip.getAttribute('aria-valuenow'));
  await grip.focus();
  await press(page, 'ArrowRight', 'ArrowRight');
  await expect(grip).toHaveAttribute('aria-valuenow', String(before + 16));
  // Another visit without a view in its address shows this one again.
  await page.goto(`/field?account=${account}`);
  await expect(page.getByRole('columnheader', { name: 'Days since change' })).toBeAttached();
  await expect(page.getByRole('separator', { name: 'Width of Keyword' })).toHaveAttribute(
    'aria-valuenow',
    String(before + 16),
  );
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'CSV', exact: true }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('Tarnbrook Ferments keywords.csv');
  const lines = readFileSync((await download.path())!, 'utf8')
    .trim()
    .split('\n');
  expect(lines[0]).toMatch(/^Standing,Keyword,Kind,Bid EUR,Clicks,Spend EUR/);
  expect(lines).toHaveLength(Number(await lensRows(page, 'Keywords').getAttribute('aria-rowcount')) + 1);
});

test('each picture is drawn, and leaves as a file', async ({ page, request }) => {
  const faults = watch(page);
  const account = await demoAccount(request);
  await openField(page, account, 'Keywords', '&lens=keywords');
  const picture = page.getByRole('region', { name: 'Picture' });
  await pick(picture, 'Picture', 'Histogram');
  await pick(picture, 'Measure 1', 'CPC');
  const bars = picture.getByRole('group', { name: /^CPC: how many rows/ });
  await bars.getByRole('button').first().press('Enter');
  await expect(page.getByRole('group', { name: 'Conditions' })).toContainText('CPC ≥');
  await pick(picture, 'Picture', 'Trend');
  await expect(picture.getByRole('group', { name: /of the rows shown, day by day/ })).toBeVisible();
  await pick(picture, 'Picture', 'Ranked bars');
  await expect(
    picture
      .getByRole('group', { name: /by row, largest first/ })
      .getByRole('button')
      .first(),
  ).toBeVisible();
  for (const format of ['SVG', 'PNG']) {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      picture.getByRole('button', { name: format }).click(),
    ]);
    expect(download.suggestedFilename()).toBe(`Tarnbrook Ferments Ranked bars.${format.toLowerCase()}`);
    expect(readFileSync((await download.path())!).length).toBeGreaterThan(1500);
  }
  expect(faults).toEqual([]);
});

test('an account without data says what to do; a note is kept, and taken away', async ({ page, request }) => {
  const empty = await newAccount(request, 'Nothing yet');
  await page.goto(`/field?account=${empty}&lens=keywords`);
  await expect(page.getByText('This account has no keywords yet')).toBeVisible();
  await page.goto(`/round?account=${empty}`);
  await expect(page.getByText('Bring in the figures of Nothing yet')).toBeVisible();
  await page.getByLabel('Report file').setInputFiles({
    name: 'own.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(aReport({ rows: [aReportRow({ term: 'own jar' })] })),
  });
  // Told by the page, and by a notice once the page has moved on.
  await expect(page.getByText(/^1 row taken in/).first()).toBeVisible();
  await expect(page.getByText('How targets stand')).toBeVisible();
  await press(page, '2');
  await expect(page.getByText('Bids are tuned here once they are known.')).toBeVisible();
  await expect(page.getByText('No bid of the account is known.')).toBeVisible();
  const account = await demoAccount(request);
  await openField(page, account, 'Keywords', '&lens=keywords');
  const notes = page.getByRole('region', { name: 'Notes' });
  await notes.getByLabel('New note').fill('Kept for its rank until spring');
  await press(page, 'Enter');
  await expect(notes).toContainText('Kept for its rank until spring');
  await page.reload();
  await expect(notes).toContainText('Kept for its rank until spring');
  await notes.getByRole('button', { name: /^Remove the note/ }).click();
  await expect(notes).not.toContainText('Kept for its rank');
});

test('the overview opens the round: figures, month, standings, movers; a goal is set', async ({
  page,
  request,
}) => {
  const faults = watch(page);
  const account = await demoAccount(request);
  await page.goto(`/round?account=${account}`);
  const figures = page.getByRole('list', { name: 'Figures of the account' });
  for (const label of ['ACOS', 'TACOS', 'Organic sales', 'Profit'])
    await expect(figures.getByText(label, { exact: false }).first()).toBeVisible();
  const month = page.getByRole('region', { name: 'Month' });
  await month.getByRole('button', { name: /goal/ }).click();
  await month.getByLabel('Sales, EUR').fill('60000');
  await month.getByLabel('Spend, EUR').fill('8000');
  await press(page, 'Enter');
  await expect(month).toContainText('60,000');
  await expect(month).toContainText(/\d+ %/);
  await page.getByRole('link', { name: 'Losing' }).click();
  await expect(page.getByRole('group', { name: 'Conditions' })).toContainText('Standing is losing');
  expect(faults).toEqual([]);
});
