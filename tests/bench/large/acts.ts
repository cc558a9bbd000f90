import type { Page } from '@playwright/test';
import { watchTaken } from '../../../bin/parts/taken.mjs';
import { say } from '../timed';
import { heldUp, pageMemory, painted } from './watch';

const PATIENCE_MS = 180_000;
const ROW = 'main .table-row';

/** Seconds from an act to what tells that it is done, as the page counts its frames. */
async function act(
  page: Page,
  name: string,
  bar: number,
  does: () => Promise<void>,
  isDone: () => Promise<unknown>,
) {
  await heldUp(page);
  const taken = watchTaken();
  const start = Date.now();
  await does();
  await isDone();
  const seconds = (Date.now() - start) / 1000;
  say(
    `${name.padEnd(24)}${`${seconds.toFixed(2).padStart(6)} (${bar.toFixed(1)})`.padEnd(32)}${String(Math.round(await heldUp(page))).padStart(6)} ms   ${taken()}`,
  );
}

/** Waits until some text of the page is another one than before. */
const changes = (page: Page, selector: string, before: string) =>
  page.waitForFunction(
    ([at, was]) => {
      const now = [...document.querySelectorAll(at)].find(
        (one) => one.getClientRects().length > 0,
      )?.textContent;
      return now !== undefined && now !== was && now !== '';
    },
    [selector, before] as const,
    { polling: 'raf', timeout: PATIENCE_MS },
  );

const textOf = (page: Page, selector: string) => page.locator(`${selector}:visible`).first().innerText();

/** What the specialist does on the large account: conditions, sorts, another pace, another target tried, accepting all, the tray. */
export async function benchActs(page: Page, url: string, account: number): Promise<void> {
  await page.goto(`${url}/field?account=${account}&lens=keywords`);
  await painted(page, ROW, PATIENCE_MS);
  await page.waitForTimeout(1000);
  const goTo = (query: string) =>
    page.evaluate((next) => {
      history.replaceState(null, '', next);
      dispatchEvent(new PopStateEvent('popstate'));
    }, query);
  const count = () => page.locator('[role=table]:visible').first().getAttribute('aria-rowcount');
  const counted = async (before: string | null) =>
    page.waitForFunction(
      (was) =>
        [...document.querySelectorAll('[role=table]')]
          .find((one) => one.getClientRects().length > 0)
          ?.getAttribute('aria-rowcount') !== was,
      before,
      { polling: 'raf', timeout: PATIENCE_MS },
    );
  const rows = await count();
  await act(
    page,
    'Condition stacked',
    0.3,
    () => goTo(`/field?account=${account}&lens=keywords&where=clicks%3E%3D10`),
    () => counted(rows),
  );
  const first = await textOf(page, ROW);
  await act(
    page,
    'Sorted by sales',
    0.3,
    () => goTo(`/field?account=${account}&lens=keywords&where=clicks%3E%3D10&sort=sales`),
    () => changes(page, ROW, first),
  );

  await page.goto(`${url}/round?account=${account}&step=over`);
  await painted(page, ROW, PATIENCE_MS);
  // The page stands when all its steps are counted.
  await page.waitForLoadState('networkidle');
  const proposed = await textOf(page, ROW);
  // What is waited for begins with the choice, not with the list that it stands in.
  await page.getByRole('combobox', { name: 'Pace' }).click();
  const brisk = page.getByRole('option', { name: 'brisk' });
  await brisk.waitFor();
  await act(
    page,
    'Another pace',
    0.5,
    () => brisk.click(),
    () => changes(page, ROW, proposed),
  );
  await page.waitForTimeout(1000);
  const head = await textOf(page, 'main');
  await act(
    page,
    'Another target tried',
    0.5,
    () => page.keyboard.press('>'),
    () => changes(page, 'main', head),
  );
  await page.keyboard.press('Escape');
  await page.waitForTimeout(500);
  await act(
    page,
    'Accept all: summary',
    0.5,
    () => page.keyboard.press('a'),
    () => page.getByRole('dialog').waitFor({ timeout: PATIENCE_MS }),
  );
  await act(
    page,
    'Accept all: in the tray',
    1,
    () =>
      page
        .getByRole('dialog')
        .getByRole('button', { name: /^Accept/ })
        .click(),
    () => page.getByRole('button', { name: /^Tray · [\d,]{4,}/ }).waitFor({ timeout: PATIENCE_MS }),
  );
  say(`                        ${await page.getByRole('button', { name: /^Tray · / }).innerText()}`);
  await page.waitForTimeout(1500);
  const send = page.getByRole('button', { name: /^Send [\d,]+ change/ });
  await act(
    page,
    'Tray opened',
    0.5,
    () => page.keyboard.press('t'),
    () => send.waitFor({ timeout: PATIENCE_MS }),
  );
  // The account is kept for the next run: what was staged is taken out again, and the pace is as it was.
  await act(
    page,
    'All taken out again',
    2,
    () => page.getByRole('button', { name: 'Take all out' }).click(),
    () => send.waitFor({ state: 'hidden', timeout: PATIENCE_MS }),
  );
  await page.keyboard.press('t');
  await page.getByRole('combobox', { name: 'Pace' }).click();
  await page.getByRole('option', { name: 'steady' }).click();
  await page.waitForTimeout(1500);
  say(`memory after the acts   ${Math.round(pageMemory() / 1e6)} MB   (bar: under 1,200)`);
}
