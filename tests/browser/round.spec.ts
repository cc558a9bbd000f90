import type { ChoicesAnswer } from '../../src/contract/choices';
import { expect, test } from '@playwright/test';
import type { ReviewData } from '../../src/contract/review';
import type { AsJson } from '../../src/contract/packed';
import {
  demoAccount,
  emptyTray,
  evidence,
  freshStage,
  goToStep,
  openRound,
  pick,
  press,
  rowCount,
  rows,
  sendTray,
  shownTerm,
  tray,
} from './page';

test.beforeAll(freshStage);

let account: number;

test.beforeEach(async ({ request }) => {
  account = await demoAccount(request);
  await emptyTray(request, account);
});

test.describe('what the rows show', () => {
  test('is what the window holds, also after going to another window and back', async ({ page, request }) => {
    await openRound(page, account, '&show=all&sort=-clicks');
    const choose = async (days: number) => {
      await press(page, 'w');
      await page.getByRole('button', { name: `${days} days`, exact: true }).click();
      await expect(page.getByTitle(/^Window \(w\)/)).toContainText(`${days} days`);
      await expect(rows(page).getByRole('row').nth(1)).toBeVisible();
      const from = new URL(page.url()).searchParams.get('from');
      const to = new URL(page.url()).searchParams.get('to');
      const review = (await (
        await request.get(`/api/review?account=${account}&from=${from}&to=${to}`)
      ).json()) as AsJson<ReviewData>;
      const most = Math.max(...review.rows.clicks);
      const term = review.rows.term[review.rows.clicks.indexOf(most)];
      await expect(rows(page)).toHaveAttribute('aria-rowcount', String(review.rows.term.length));
      const first = rows(page).getByRole('row').nth(1);
      await expect(first).toContainText(term);
      await expect(first.getByRole('cell').nth(2)).toHaveText(new Intl.NumberFormat('en-GB').format(most));
      await expect(shownTerm(page)).toHaveText(term);
      return most;
    };
    const month = await choose(30);
    expect(await choose(7)).toBeLessThan(month);
    expect(await choose(30)).toBe(month);
  });

  test('are totals of the filtered rows, with ratios from their sums', async ({ page, request }) => {
    await openRound(page, account, '&show=all&where=clicks>=20&where=orders>=1');
    const { rows: all } = (await (
      await request.get(`/api/review?account=${account}`)
    ).json()) as AsJson<ReviewData>;
    const kept = all.term.map((_, at) => at).filter((at) => all.clicks[at] >= 20 && all.orders[at] >= 1);
    const sum = (column: number[]) => kept.reduce((total, at) => total + column[at], 0);
    await expect(rows(page)).toHaveAttribute('aria-rowcount', String(kept.length));
    const totals = page.getByLabel('Totals of the rows shown');
    await expect(totals).toContainText(`ACOS ${((100 * sum(all.spend)) / sum(all.sales)).toFixed(1)} %`);
    await expect(totals).toContainText(`clicks ${new Intl.NumberFormat('en-GB').format(sum(all.clicks))}`);
  });

  test('is a dash for a ratio without a denominator, and such rows stand last', async ({ page }) => {
    await openRound(page, account, '&step=negatives');
    await expect(rows(page).getByTitle('No sales, so no ACOS').first()).toHaveText('–');
  });
});

test.describe('a link', () => {
  test('brings back step, conditions and order; thresholds are the account’s and can be taken back', async ({
    page,
    request,
  }) => {
    await openRound(page, account);
    await goToStep(page, 'Negatives');
    await press(page, 's');
    await page.keyboard.type('spend>=10');
    await press(page, 'Enter');
    await rows(page).getByRole('button', { name: 'Clicks' }).click();
    const choices = async () =>
      (await (await request.get(`/api/choices?account=${account}`)).json()) as ChoicesAnswer;
    await pick(page, 'Judged by', 'by counts');
    // Kept, and told to the page: what is typed before that would be written over.
    await expect.poll(async () => (await choices()).choices.terms.basis).toBe('counts');
    await expect(page.getByTitle('When a term is proposed')).toHaveText(/× usual clicks/);
    await page.getByTitle('When a term is proposed').click();
    await page.getByLabel('At least, ×').fill('3');
    await press(page, 'Enter', 'Escape');
    await expect.poll(async () => (await choices()).choices.terms.clicksMultiple).toBe(3);
    const other = await page.context().newPage();
    await other.goto(page.url());
    await expect(rows(other).getByRole('row').nth(1)).toBeVisible();
    await expect.poll(async () => (await rowCount(other)) - (await rowCount(page))).toBe(0);
    await expect(other.getByRole('button', { name: 'Spend ≥ 10' })).toBeVisible();
    await expect(other.getByRole('button', { name: /6 Negatives/ })).toHaveAttribute('aria-current', 'step');
    await expect(rows(other).getByRole('columnheader', { name: /Clicks/ })).toHaveAttribute(
      'aria-sort',
      'descending',
    );
    await expect(other.getByTitle('When a term is proposed')).toHaveText('3.0 × usual clicks');
    await page.getByTitle('When a term is proposed').click();
    await page.getByLabel('At least, ×').fill('4');
    await press(page, 'Enter', 'Escape');
    await expect.poll(async () => (await choices()).choices.terms.clicksMultiple).toBe(4);
    await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
    await expect.poll(async () => (await choices()).choices.terms.clicksMultiple).toBe(3);
    await request.put('/api/choices', { data: { account, terms: { basis: 'chance' } } });
  });

  test('to an account that is gone says so', async ({ page }) => {
    await page.goto('/round?step=harvest&account=987654');
    await expect(page.getByRole('alert')).toContainText('There is no account 987654');
    await page.goto('/round?account=987654');
    await expect(page.getByRole('alert')).toContainText('There is no account 987654');
  });
});

test.describe('conditions', () => {
  test('are edited in place and taken away one by one', async ({ page }) => {
    await openRound(page, account, '&show=all&where=clicks>=5&where=term~jar');
    const both = await rowCount(page);
    await page.getByRole('button', { name: 'Clicks ≥ 5' }).click();
    await page.getByLabel('Value').fill('50');
    await page.getByRole('button', { name: 'Set', exact: true }).click();
    await expect(page.getByRole('button', { name: 'Clicks ≥ 50' })).toBeVisible();
    await expect.poll(() => rowCount(page)).toBeLessThan(both);
    await page.getByRole('button', { name: 'Clicks ≥ 50' }).press('Delete');
    await expect.poll(() => rowCount(page)).toBeGreaterThan(both);
  });

  test('that no row meets say so, and can be cleared', async ({ page }) => {
    await page.goto(`/round?account=${account}&step=harvest&where=clicks>=1000000`);
    await page.getByRole('button', { name: 'Clear them' }).click();
    await expect(rows(page).getByRole('row').nth(1)).toBeVisible();
  });
});

test.describe('keys', () => {
  test('g and then a letter goes to a place, and the letter alone does nothing on the way', async ({
    page,
    request,
  }) => {
    await openRound(page, account);
    await press(page, 'g', 'l');
    await expect(page.getByRole('heading', { name: 'Ledger' })).toBeVisible();
    expect(await (await request.get(`/api/aside?account=${account}`)).json()).toEqual({ aside: [] });
    await press(page, 'g', 's');
    await expect(page.getByRole('heading', { name: /^Data of/ })).toBeVisible();
    await press(page, 'g', 'r');
    await expect(page).toHaveURL(/\/round/);
  });

  test('the brush moves and grows by arrows, and ends with b', async ({ page }) => {
    await openRound(page, account);
    const all = await rowCount(page);
    await press(page, 'b');
    const chip = page.getByText(/^In the brushed area: \d+$/);
    await expect(chip).toBeVisible();
    const before = await rowCount(page);
    // The focused row's point may stand at the edge: the area is moved inward first, then widened over all.
    for (let count = 0; count < 14; count += 1) await press(page, 'ArrowLeft', 'ArrowDown');
    for (let count = 0; count < 34; count += 1) await press(page, 'Shift+ArrowRight', 'Shift+ArrowUp');
    await expect.poll(() => rowCount(page)).toBeGreaterThan(before);
    await press(page, 'b');
    await expect(chip).toBeHidden();
    await expect(rows(page)).toHaveAttribute('aria-rowcount', String(all));
  });

  test('? shows them, f folds the picture and is remembered', async ({ page }) => {
    await openRound(page, account);
    await press(page, '?');
    await expect(page.getByRole('dialog')).toContainText('accept the row, or the selected rows');
    await press(page, 'Escape');
    await expect(page.getByRole('dialog')).toBeHidden();
    await press(page, 'f');
    await expect(page.getByRole('img', { name: /^Cut line at/ })).toBeHidden();
    await page.reload();
    await expect(page.getByRole('button', { name: 'Show the picture' })).toBeVisible();
  });
});

test.describe('decisions', () => {
  test('what is left stays away after a reload, and can be taken back', async ({ page }) => {
    await openRound(page, account);
    const term = (await shownTerm(page).textContent())!;
    const before = await rowCount(page);
    await press(page, 'x');
    await expect(rows(page)).toHaveAttribute('aria-rowcount', String(before - 1));
    await page.reload();
    await expect(rows(page)).toHaveAttribute('aria-rowcount', String(before - 1));
    await page.getByRole('button', { name: 'Put aside 1' }).click();
    await expect(rows(page)).toContainText(term);
    await rows(page).getByRole('button', { name: 'Take back' }).click();
    await page.getByRole('button', { name: /^Proposed/ }).click();
    await expect(rows(page)).toHaveAttribute('aria-rowcount', String(before));
  });

  test('a row that is not proposed can be blocked by hand, with its own figures as the reason', async ({
    page,
  }) => {
    await openRound(page, account, '&step=negatives&show=all&where=orders>=1&sort=clicks');
    await press(page, 'Space');
    await expect(tray(page, 1)).toBeVisible();
    await press(page, 't');
    await expect(page.getByRole('region', { name: 'Tray' })).toContainText(/\d+ clicks?, [1-9]\d* orders?/);
  });

  test('a harvest goes where and as it was edited: other bid, no block in the source', async ({
    page,
    request,
  }) => {
    await openRound(page, account);
    await evidence(page).getByLabel('Bid, EUR').fill('0.31');
    await press(page, 'Enter');
    await pick(evidence(page), 'Block in the source', 'nowhere');
    await evidence(page).getByLabel('Home').fill('items');
    await page.getByRole('option', { name: /items/ }).first().click();
    await rows(page)
      .getByRole('button', { name: /^Accept:/ })
      .first()
      .click();
    await expect(tray(page, 1)).toBeVisible();
    const [change] = (await (await request.get(`/api/changes?account=${account}&state=staged`)).json()) as {
      change: { kind: string; bid: number };
    }[];
    expect(change.change).toMatchObject({ kind: 'add-keyword', bid: 310_000 });
  });

  test('the tray lets a bid be changed and a change be taken out', async ({ page, request }) => {
    await openRound(page, account);
    await press(page, 'Space');
    await expect(tray(page, 2)).toBeVisible();
    await press(page, 't');
    const panel = page.getByRole('region', { name: 'Tray' });
    await panel.getByLabel('Value, EUR').fill('0.44');
    await panel.getByLabel('Value, EUR').press('Enter');
    const bids = async () =>
      (
        (await (await request.get(`/api/changes?account=${account}&state=staged`)).json()) as {
          change: { bid?: number };
        }[]
      ).map(({ change }) => change.bid);
    await expect.poll(bids).toContain(440_000);
    // The negative waits for the keyword, so it goes with it.
    await panel.getByRole('button', { name: /^Take out: Bid on/ }).click();
    await expect(tray(page, 0)).toBeVisible();
  });

  test('another target ACOS moves the line and the proposals, and is kept', async ({ page }) => {
    await openRound(page, account);
    const before = await rowCount(page);
    const target = page.getByLabel('Target ACOS, %');
    await target.fill('12');
    await target.press('Enter');
    await expect(page.getByRole('img', { name: /^Cut line at 12.0 % ACOS/ })).toBeVisible();
    await expect.poll(() => rowCount(page)).toBeLessThan(before);
    await page.reload();
    await expect(target).toHaveValue('12');
    await target.fill('24');
    await target.press('Enter');
    await expect(rows(page)).toHaveAttribute('aria-rowcount', String(before));
  });
});

test('a whole bale is undone by changes that wait in the tray', async ({ page }) => {
  await openRound(page, account, '&step=negatives');
  await press(page, 'Shift+ArrowDown', 'Space');
  await expect(tray(page, 2)).toBeVisible();
  await sendTray(page);
  await expect(page.getByText('2 changes: 2 accepted, 0 refused.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo 2' }).click();
  await expect(tray(page, 2)).toBeVisible();
  await press(page, 't');
  await expect(page.getByRole('region', { name: 'Tray' })).toContainText('Lift the negative');
  await press(page, 'Enter');
  await expect(page.getByText('2 changes: 2 accepted, 0 refused.')).toBeVisible();
  await openRound(page, account, '&step=negatives');
});
