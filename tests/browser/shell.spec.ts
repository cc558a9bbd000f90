import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import {
  demoAccount,
  emptyTray,
  evidence,
  freshStage,
  goToStep,
  lensRows,
  newAccount,
  openField,
  openRound,
  pick,
  press,
  rowCount,
  rows,
  sendTray,
  shownTerm,
  stagedIn,
  tray,
  watch,
} from './page';

test.beforeAll(freshStage);

let account: number;

test.beforeEach(async ({ request }) => {
  account = await demoAccount(request);
  await emptyTray(request, account);
});

/** What the page asks of the server from now on. */
function asked(page: Page): string[] {
  const paths: string[] = [];
  page.on('request', (request) => {
    const { pathname } = new URL(request.url());
    if (/api\/(review|field|tree|bid-feed)/.test(pathname)) paths.push(pathname);
  });
  return paths;
}

test.describe('going from place to place', () => {
  test('keeps what was loaded, and where one was in it', async ({ page }) => {
    const faults = watch(page);
    await openRound(page, account, '&sort=-clicks');
    await press(page, 'ArrowDown', 'ArrowDown');
    const term = await shownTerm(page).textContent();
    const count = await rowCount(page);
    await press(page, 'g', 'f');
    await expect(lensRows(page, 'Keywords').getByRole('row').nth(2)).toBeVisible();
    const paths = asked(page);
    await press(page, 'g', 'r');
    await expect(shownTerm(page)).toHaveText(term!);
    await expect(rows(page)).toHaveAttribute('aria-rowcount', String(count));
    await expect(page).toHaveURL(/\/round\?account=\d+&step=harvest&sort=-clicks/);
    await expect(page).toHaveTitle('Round · Mowing');
    await press(page, 'g', 'f');
    await expect(lensRows(page, 'Keywords').getByRole('row').nth(2)).toBeVisible();
    expect(paths).toEqual([]);
    expect(faults).toEqual([]);
  });

  test('is undone by Back, and can be sent as a link', async ({ page }) => {
    await openField(page, account, 'Keywords', '&lens=keywords&where=clicks%3E%3D50');
    await page.getByRole('link', { name: 'Words', exact: true }).click();
    await expect(page.getByRole('table', { name: 'Word parts' }).getByRole('row').nth(2)).toBeVisible();
    await page.goBack();
    await expect(page).toHaveURL(/where=clicks%3E%3D50/);
    await expect(page.getByRole('button', { name: 'Clicks ≥ 50' })).toBeVisible();
    const other = await page.context().newPage();
    await other.goto(page.url());
    await expect(other.getByRole('button', { name: 'Clicks ≥ 50' })).toBeVisible();
  });

  test('to another account begins anew there', async ({ page, request }) => {
    await openRound(page, account);
    await pick(page, 'Account', 'Hollin Kites');
    await expect(page).toHaveURL(new RegExp(`account=${await demoAccount(request, 'Hollin Kites')}$`));
    await expect(page.getByText('How targets stand')).toBeVisible();
    await expect(page.getByText('Spend GBP').first()).toBeVisible();
  });
});

test.describe('undo', () => {
  test('takes back what was done in another place, and before the page was loaded again', async ({
    page,
    request,
  }) => {
    await openRound(page, account);
    const term = await shownTerm(page).textContent();
    await press(page, 'x');
    await expect(page.getByText(/1 term left as it is until/)).toBeVisible();
    await press(page, 'Space');
    await expect(tray(page, 2)).toBeVisible();
    await page.reload();
    await expect(tray(page, 2)).toBeVisible();
    await press(page, 'g', 'l');
    await expect(page.getByRole('heading', { name: 'Ledger' })).toBeVisible();
    await press(page, 'u');
    await expect(tray(page, 0)).toBeVisible();
    expect(await stagedIn(request, account)).toEqual([]);
    await press(page, 'u');
    await expect(page.getByText(/Undone: 1 term left as it is/)).toBeVisible();
    await openRound(page, account);
    await expect(shownTerm(page)).toHaveText(term!);
  });

  test('brings back what was taken out of the tray', async ({ page, request }) => {
    await openRound(page, account);
    await press(page, 'Space');
    await expect(tray(page, 2)).toBeVisible();
    const before = (await stagedIn(request, account)).map(({ change }) => change);
    await press(page, 't');
    await page.getByRole('button', { name: 'Take all out' }).click();
    await expect(tray(page, 0)).toBeVisible();
    await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
    await expect(tray(page, 2)).toBeVisible();
    expect((await stagedIn(request, account)).map(({ change }) => change)).toEqual(before);
  });
});

test('what was sent since is not said to be undone', async ({ page, request }) => {
  await openRound(page, account, '&step=negatives');
  await press(page, 'Space');
  await expect(tray(page, 1)).toBeVisible();
  await sendTray(page);
  await press(page, 'u');
  await expect(
    page.getByText(/^Not undone: 1 change put in the tray, but sent or taken out since/),
  ).toBeVisible();
  expect(await stagedIn(request, account)).toEqual([]);
});

test('figures are asked for before the application’s script is here, and once', async ({ page, context }) => {
  for (const [address, asks] of [
    [`/field?account=${account}&lens=campaigns`, '/api/field?'],
    [`/round?account=${account}&step=over`, '/api/bids/plan'],
    [`/round?account=${account}&step=harvest`, '/api/review?'],
    [`/words?account=${account}`, '/api/words?'],
  ]) {
    const early = await context.newPage();
    await early.route(/\/Mowing\.[^/]*\.js$/, (route) => route.abort());
    await Promise.all([early.waitForRequest((one) => one.url().includes(asks)), early.goto(address)]);
    await early.close();
    const asked: string[] = [];
    const count = (one: { url: () => string }) => void (one.url().includes(asks) && asked.push(one.url()));
    context.on('request', count);
    await page.goto(address);
    await expect(page.getByRole('row').nth(2)).toBeVisible();
    context.off('request', count);
    expect(asked).toHaveLength(1);
  }
});

test('a page names every script that its place begins with, so that none waits for another', async ({
  page,
}) => {
  for (const place of ['round', 'field', 'words', 'ledger', 'setup']) {
    const met: string[] = [];
    page.on('request', (request) => {
      // What a worker asks for is its own: it is one script.
      if (request.resourceType() === 'script' && !request.url().includes('worker'))
        met.push(new URL(request.url()).pathname);
    });
    await page.goto(`/${place}?account=${account}`);
    await expect(page.getByRole('main')).toBeVisible();
    const named = await page.evaluate(() =>
      [...document.querySelectorAll('link[rel=modulepreload]')].map((one) => one.getAttribute('href')!),
    );
    expect(named.length).toBeGreaterThan(10);
    expect(met.filter((address) => !named.includes(address))).toEqual([]);
    page.removeAllListeners('request');
  }
});

test.describe('the frame', () => {
  test('has room for everything from a wide screen to one at twice the size, and for nine places', async ({
    page,
  }) => {
    await openRound(page, account);
    const widths = () =>
      page.evaluate(() =>
        [document.documentElement, document.querySelector('header')!].map((one) => one.scrollWidth),
      );
    for (const [width, height] of [
      [2560, 1440],
      [1280, 800],
      [1024, 768],
      [640, 400],
    ]) {
      await page.setViewportSize({ width, height });
      await expect.poll(async () => Math.max(...(await widths()))).toBeLessThanOrEqual(width);
      await expect(page.getByRole('link', { name: 'Setup' })).toBeVisible({ visible: width >= 1100 });
    }
    await page.getByRole('button', { name: 'Round', exact: true }).click();
    await page.getByRole('menuitem', { name: /^Setup/ }).click();
    await expect(page).toHaveURL(/\/setup/);

    await page.setViewportSize({ width: 1280, height: 800 });
    await page.evaluate(() => {
      const places = document.querySelector('nav[aria-label="Places"]')!;
      for (const name of ['Hours', 'Build', 'Standing']) {
        const link = places.lastElementChild!.cloneNode(true) as HTMLElement;
        link.textContent = name;
        places.append(link);
      }
    });
    expect(Math.max(...(await widths()))).toBeLessThanOrEqual(1280);
  });

  test('keeps one line a row or two, and the sizes that its edges were drawn to', async ({ page }) => {
    await openRound(page, account);
    const inSight = () =>
      page.evaluate(() => {
        const bottom = document.querySelector('.table')!.getBoundingClientRect().bottom;
        return [...document.querySelectorAll('.table-row')].filter(
          (row) => row.getBoundingClientRect().bottom <= bottom + 4,
        ).length;
      });
    expect(await inSight()).toBeGreaterThanOrEqual(12);
    await press(page, 'd');
    await expect.poll(inSight).toBeLessThan(10);

    const panel = async () => (await evidence(page).boundingBox())!.width;
    const before = await panel();
    const edge = (await page.getByRole('separator', { name: 'Width of the panel' }).boundingBox())!;
    await page.mouse.move(edge.x + 3, edge.y + 300);
    await page.mouse.down();
    await page.mouse.move(edge.x - 97, edge.y + 300, { steps: 4 });
    await page.mouse.up();
    expect(await panel()).toBeGreaterThan(before + 80);
    const picture = page.getByRole('separator', { name: 'Height of the picture' });
    for (let count = 0; count < 5; count += 1) await picture.press('ArrowDown');
    const tall = Number(await picture.getAttribute('aria-valuenow'));

    await page.reload();
    await expect(picture).toHaveAttribute('aria-valuenow', String(tall));
    expect(await panel()).toBeGreaterThan(before + 80);
    await expect(page.getByRole('button', { name: 'One line a row (d)' })).toBeVisible();
  });

  test('writes figures as the reader does', async ({ page }) => {
    await page.goto(`/setup?account=${account}&part=reader`);
    await pick(page, 'Figures', '1.234.567,89');
    await page.goto(`/round?account=${account}`);
    await expect(page.getByText('How targets stand')).toBeVisible();
    await expect(page.getByText(/^\d\d,\d % ACOS/)).toBeVisible();
    await openRound(page, account);
    await expect(evidence(page)).toContainText(/\d,\d\d/);
  });

  test('has a guide with its pictures', async ({ page }) => {
    const faults = watch(page);
    await page.goto('/guide');
    await expect(page.getByRole('heading', { name: 'The steps' })).toBeVisible();
    for (const picture of await page.getByRole('img').all()) {
      await picture.scrollIntoViewIfNeeded();
      await expect
        .poll(() => picture.evaluate((one) => (one as HTMLImageElement).naturalWidth))
        .toBeGreaterThan(600);
    }
    expect(faults).toEqual([]);
  });
});

test('every place stands up without data', async ({ page, request }) => {
  const faults = watch(page);
  const empty = await newAccount(request, 'Nothing yet');
  await page.goto(`/round?account=${empty}&step=harvest`);
  await expect(page.getByText('There are no search terms yet.')).toBeVisible();
  await goToStep(page, 'Negatives');
  await press(page, 'Space', 'x', 'l', 'u', 'e', ']', 'b', 'ArrowDown');
  await page.goto(`/ledger?account=${empty}`);
  await expect(page.getByText('Nothing has been sent yet.')).toBeVisible();
  await page.goto(`/setup?account=${empty}`);
  await expect(page.getByText('No file has been imported yet.')).toBeVisible();
  expect(faults).toEqual([]);
});
