import { expect } from '@playwright/test';
import type { APIRequestContext, Locator, Page } from '@playwright/test';
import type { SyncInfo } from '../../src/contract/api';
import type { ChangeInfo } from '../../src/contract/changes';
import type { AccountTree } from '../../src/core/structure';

/** Lines in the browser's console that mean something is broken. */
export function watch(page: Page): string[] {
  const faults: string[] = [];
  page.on('pageerror', (error) => faults.push(error.message));
  page.on(
    'console',
    (line) => line.type() === 'error' && faults.push(`${line.text()} ${line.location().url}`),
  );
  return faults;
}

export const rows = (page: Page) => page.getByRole('table', { name: 'Search terms' });
export const evidence = (page: Page) => page.getByRole('complementary', { name: 'Evidence' });
export const shownTerm = (page: Page) => evidence(page).getByRole('heading', { level: 2 });
export const tray = (page: Page, count: number) =>
  page.getByRole('button', { name: `Tray · ${count}`, exact: true });
export const rowCount = async (page: Page) => Number(await rows(page).getAttribute('aria-rowcount'));

export async function press(page: Page, ...keys: string[]): Promise<void> {
  for (const key of keys) await page.keyboard.press(key);
}

/** One of the demo's accounts: other tests make accounts of their own. */
export async function demoAccount(request: APIRequestContext, named = 'Tarnbrook Ferments'): Promise<number> {
  const accounts = (await (await request.get('/api/accounts')).json()) as { id: number; name: string }[];
  return accounts.find(({ name }) => name === named)!.id;
}

/** An empty account of its own for a test. */
export async function newAccount(request: APIRequestContext, name: string): Promise<number> {
  const answer = await request.post('/api/accounts', { data: { name, currency: 'EUR', targetAcos: 0.25 } });
  expect(answer.status()).toBe(201);
  return ((await answer.json()) as { id: number }).id;
}

/** Opens the round of an account and waits for its first row. */
export async function openRound(page: Page, account: number, query = ''): Promise<void> {
  const step = query.includes('step=') ? '' : '&step=harvest';
  await page.goto(`/round?account=${account}${step}${query}`);
  await expect(rows(page).getByRole('row').nth(1)).toBeVisible();
}

/** Takes a choice by its words, as a reader does. @param within what the list of choices stands in */
export async function pick(within: Page | Locator, label: string, words: string | RegExp): Promise<void> {
  await within.getByRole('combobox', { name: label, exact: true }).click();
  const page = 'page' in within ? within.page() : within;
  await page.getByRole('option', { name: words, exact: true }).first().click();
}

/** What is in an account's tray. */
export const stagedIn = async (request: APIRequestContext, account: number): Promise<ChangeInfo[]> =>
  (await (await request.get(`/api/changes?account=${account}&state=staged`)).json()) as ChangeInfo[];

/** The account's campaigns and what hangs below them. */
export const treeOf = async (request: APIRequestContext, account: number): Promise<AccountTree> =>
  (await (await request.get(`/api/tree?account=${account}`)).json()) as AccountTree;

/** Takes everything out of an account's tray. */
export async function emptyTray(request: APIRequestContext, account: number): Promise<void> {
  const staged = await stagedIn(request, account);
  if (staged.length > 0)
    await request.post('/api/changes/withdraw', { data: { account, ids: staged.map(({ id }) => id) } });
}

/** The rows of a lens of the field, by the lens's name. */
export const lensRows = (page: Page, name: string) => page.getByRole('table', { name, exact: true });

/** Opens the field of an account and waits for its first row. */
export async function openField(page: Page, account: number, lens: string, query = ''): Promise<void> {
  await page.goto(`/field?account=${account}${query}`);
  await expect(lensRows(page, lens).getByRole('row').nth(2)).toBeVisible();
}

/** Names in the rows in sight. */
export const namesIn = (page: Page, lens: string) =>
  lensRows(page, lens).locator('.table-row').locator('[role=cell]:nth-child(2)');

/** Sends what is in the tray by keyboard; negatives that would have cost sales are confirmed when that is asked for. */
export async function sendTray(page: Page): Promise<void> {
  await press(page, 't');
  const send = page.getByRole('button', { name: /^Send [\d,]+ change/ });
  await expect(send).toBeFocused();
  await press(page, 'Enter');
  const costly = page.getByRole('region', { name: 'Negatives that cost sales' });
  // The ledger may be open on a bale before: sent is what is shown as another one.
  const baleOf = () => /\/ledger\?account=\d+&bale=(\d+)/.exec(page.url())?.[1];
  const before = baleOf();
  const isSent = () => baleOf() !== undefined && baleOf() !== before;
  await expect(async () => expect(isSent() || (await costly.isVisible())).toBe(true)).toPass();
  if (!isSent()) {
    await costly
      .getByRole('button', { name: /anyway/ })
      .first()
      .click();
    await expect(costly).toBeHidden();
    await send.click();
  }
  await expect.poll(isSent).toBe(true);
}

/** Lets days pass on the account's market, and waits until they are taken over. */
export async function passDays(page: Page, account: number, days: number): Promise<void> {
  await page.goto(`/setup?account=${account}`);
  const market = page.getByRole('region', { name: 'Market' });
  await market.getByLabel(/days/i).first().fill(String(days));
  await market.getByRole('button', { name: 'Let pass' }).click();
  // What passed before says the same when it is done; and a sync that is due meanwhile takes its place on the page.
  await expect(market.getByLabel('Progress')).toBeVisible();
  const advance = async () => {
    const { jobs } = (await (await page.request.get(`/api/sync?account=${account}`)).json()) as SyncInfo;
    return jobs.find(({ kind }) => kind === 'advance')?.state;
  };
  await expect.poll(advance, { timeout: 180_000 }).toBe('done');
  await expect(market.getByRole('status')).toContainText(
    /days passed|Up to date|rules? (looked|did not look)|No rule is due/,
  );
}

/** Goes to a step of the round by its name. */
export async function goToStep(page: Page, label: string): Promise<void> {
  const entry = page.getByRole('navigation', { name: 'Steps' }).getByRole('button', { name: label });
  await press(page, (await entry.getAttribute('title'))!);
  await expect(entry).toHaveAttribute('aria-current', 'step');
}

/** The database of the application that these tests use. */
export const stageDatabase = (): string =>
  process.env[`MOWING_DATABASE_${process.env.TEST_PARALLEL_INDEX ?? 0}`] ?? process.env.DATABASE_URL!;

/** Gives a file of tests the demo as it was loaded, whatever the file before did to it. */
export async function freshStage(): Promise<void> {
  const stage = process.env.MOWING_STAGE;
  // Run by hand against an application that is there, tests take it as it is.
  if (!stage) return;
  const answer = await fetch(`${stage}/${process.env.TEST_PARALLEL_INDEX ?? 0}`, { method: 'POST' });
  if (!answer.ok) throw new Error(`The stage could not be made anew: ${await answer.text()}`);
}
