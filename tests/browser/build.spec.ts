import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import type { FindingsAnswer } from '../../src/contract/findings';
import { demoAccount, emptyTray, freshStage, press, sendTray, stagedIn, watch } from './page';

test.beforeAll(freshStage);

let account: number;
test.beforeEach(async ({ request }) => {
  account = await demoAccount(request);
  await emptyTray(request, account);
});

const findings = (page: Page) => page.getByRole('table', { name: 'Findings' });
const found = async (page: Page, kind?: string) => {
  const answer = (await (
    await page.request.get(`/api/structure?account=${account}`)
  ).json()) as FindingsAnswer;
  return answer.findings.filter((one) => kind === undefined || one.kind === kind);
};

test('the structure is looked through: at least eight sorts, three mended by keys, gone once they are sent', async ({
  page,
  request,
}) => {
  const faults = watch(page);
  const before = await found(page);
  expect(new Set(before.map(({ kind }) => kind)).size).toBeGreaterThanOrEqual(8);
  await page.goto(`/build?account=${account}&kind=not-blocked`);
  const count = before.filter(({ kind }) => kind === 'not-blocked').length;
  await expect(findings(page)).toHaveAttribute('aria-rowcount', String(count));

  await test.step('three are chosen and mended together; what waits in the tray is found no more', async () => {
    await press(page, 'Shift+ArrowDown', 'Shift+ArrowDown', 'Space');
    await expect.poll(async () => (await stagedIn(request, account)).length).toBe(3);
    await expect(findings(page)).toHaveAttribute('aria-rowcount', String(count - 3));
    const [first] = await stagedIn(request, account);
    expect(first.reason).toMatch(/has an exact bid in .* and is still caught here/);
  });

  await test.step('one is left as it is, and taken back', async () => {
    await press(page, 'x');
    await expect(findings(page)).toHaveAttribute('aria-rowcount', String(count - 4));
    await expect(page.getByText(/Put aside: 1\./)).toBeVisible();
    await press(page, 'u');
    await expect(findings(page)).toHaveAttribute('aria-rowcount', String(count - 3));
  });

  await test.step('sent, they are gone for good', async () => {
    await sendTray(page);
    expect((await found(page, 'not-blocked')).length).toBe(count - 3);
    expect(await stagedIn(request, account)).toEqual([]);
  });
  expect(faults).toEqual([]);
});

test('a finding that no change mends says how it is mended, and Space changes nothing', async ({
  page,
  request,
}) => {
  await page.goto(`/build?account=${account}&kind=missing-part`);
  await expect(findings(page).getByRole('row').nth(1)).toContainText(/keeps rivals off its own pages/);
  await press(page, 'Space');
  await expect(page.getByText('These are mended in another way: their line says how.')).toBeVisible();
  expect(await stagedIn(request, account)).toEqual([]);
});
