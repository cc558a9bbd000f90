import { expect, test } from '@playwright/test';
import { demoAccount, emptyTray, freshStage, openField, press, stagedIn, watch } from './page';

test.beforeAll(freshStage);

test('search terms are promoted, blocked and pinned from the field, as in the round', async ({
  page,
  request,
}) => {
  const faults = watch(page);
  const account = await demoAccount(request);
  await emptyTray(request, account);
  // Terms that automatic groups sold through: the round gives most of them a home.
  await openField(
    page,
    account,
    'Search terms',
    '&lens=terms&where=orders>=3&where=chosen=automatic&sort=-orders',
  );
  const kinds = async () => (await stagedIn(request, account)).map(({ change }) => change.kind);
  const act = (name: string) =>
    page.getByRole('form', { name: 'Change by hand' }).getByRole('button', { name });
  await act('Promote').click();
  await expect.poll(kinds).toContain('add-keyword');
  expect(await kinds()).toContain('add-negative');
  const [promoted] = await stagedIn(request, account);
  expect(promoted.reason).toMatch(/orders? from \d+ clicks?.*Starts at/);
  await emptyTray(request, account);
  await page.reload();

  await press(page, 'j');
  await act('Block').click();
  await expect.poll(kinds).toEqual(['add-negative']);
  await act('Pin').click();
  await expect(page.getByText('1 search term pinned to the core list of its product.')).toBeVisible();
  const { pinned } = (await (await request.get(`/api/core-terms?account=${account}`)).json()) as {
    pinned: unknown[];
  };
  expect(pinned).toHaveLength(1);
  expect(faults).toEqual([]);
});
