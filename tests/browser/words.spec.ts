import { expect, test } from '@playwright/test';
import {
  demoAccount,
  emptyTray,
  lensRows,
  newAccount,
  press,
  sendTray,
  stagedIn,
  tray,
  watch,
  freshStage,
} from './page';

test.beforeAll(freshStage);

let account: number;

test.beforeEach(async ({ request }) => {
  account = await demoAccount(request);
  await emptyTray(request, account);
});

test('a word part is blocked where it did not sell; where it did, it has to be confirmed', async ({
  page,
  request,
}) => {
  const faults = watch(page);
  await page.goto(`/words?account=${account}&length=1`);
  const parts = lensRows(page, 'Word parts');
  await expect(parts.getByRole('row').nth(1)).toBeVisible();
  const panel = page.getByRole('complementary', { name: 'The part' });

  await test.step('its terms are shown with what they sold, and what a block would save and give up', async () => {
    await expect(panel).toContainText(/\d+ terms? holds? it/);
    await expect(panel.getByRole('region', { name: 'Block the part' })).toContainText('no sale is lost');
    await press(page, 'ArrowDown', 'ArrowUp');
    const sold = panel
      .getByRole('row')
      .filter({ has: page.locator('.figure.over') })
      .first();
    await sold.getByRole('checkbox').check();
    await expect(panel).toContainText(/gives up [\d,.]+ of sales/);
  });

  await test.step('the tray holds it against the past, and does not send it unasked', async () => {
    await panel.getByRole('button', { name: /^Block in \d+ campaigns/ }).click();
    await expect(page.getByRole('button', { name: /^Tray · [1-9]/ })).toBeVisible();
    await press(page, 't', 'Enter');
    const costly = page.getByRole('region', { name: 'Negatives that cost sales' });
    await expect(costly).toContainText(/\d+ orders?, [\d,.]+ EUR in 90 days/);
    await expect(page).toHaveURL(/\/words/);
    const staged = await stagedIn(request, account);
    expect(staged.every(({ change }) => change.kind === 'add-negative' && change.match === 'phrase')).toBe(
      true,
    );
    await press(page, 'Escape');
  });

  await test.step('confirmed, it is sent, and the part does not come again', async () => {
    const before = await parts.getByRole('row').nth(1).textContent();
    await sendTray(page);
    await expect(page.getByText(/changes?: \d+ accepted, 0 refused/)).toBeVisible();
    await page.goto(`/words?account=${account}&length=1`);
    await expect(parts.getByRole('row').nth(1)).toBeVisible();
    await expect(parts.getByRole('row').nth(1)).not.toHaveText(before!);
  });
  expect(faults).toEqual([]);
});

test('a core term is pinned, and its leaks are stopped', async ({ page, request }) => {
  await page.goto(`/words?account=${account}&part=core`);
  const list = page.getByRole('table', { name: 'Core list' });
  await expect(list.getByRole('row').nth(1)).toBeVisible();
  await page.getByLabel('Term to pin').fill('Sealing Rings for Crocks');
  await page.getByRole('button', { name: 'Pin', exact: true }).click();
  const pinned = list.getByRole('row', { name: /sealing ring crock/i });
  await expect(pinned).toContainText('none');
  await page.reload();
  await pinned.getByRole('button', { name: /^Unpin/ }).click();
  await expect(pinned).toBeHidden();

  await list
    .getByRole('button', { name: /^Stop the leaks of/ })
    .first()
    .click();
  await expect(page.getByRole('button', { name: /^Tray · [1-9]/ })).toBeVisible();
  const staged = await stagedIn(request, account);
  expect(staged[0].change).toMatchObject({ kind: 'add-negative', match: 'exact' });
});

test('a keyword is tried on past terms', async ({ page }) => {
  await page.goto(`/words?account=${account}&part=preview`);
  await page.getByLabel('Keyword').fill('glass weights');
  const caught = page.getByRole('region', { name: 'Caught', exact: true });
  await expect(caught.getByRole('row').nth(1)).toContainText('glass');
  const phrase = await caught.getByRole('row').count();
  await page.getByRole('radio', { name: 'exact' }).check();
  await expect(caught.getByRole('row')).toHaveCount(2);
  expect(phrase).toBeGreaterThan(2);
  await expect(page.getByRole('region', { name: 'Not caught' })).toContainText(
    'has more words than exact match takes',
  );
  await expect(page).toHaveURL(/keyword=glass\+weights&match=exact/);
});

test('words of an account without data say so', async ({ page, request }) => {
  const empty = await newAccount(request, 'No words yet');
  await page.goto(`/words?account=${empty}`);
  await expect(page.getByText('There are no search terms yet.')).toBeVisible();
  await expect(tray(page, 0)).toBeVisible();
});
