import { expect, test } from '@playwright/test';
import type { Route } from '../../src/core/routes';
import { demoAccount, emptyTray, evidence, freshStage, openRound, pick, press, treeOf, watch } from './page';

test.beforeAll(freshStage);

test('routes are proposed, approved by key, drawn, refused in a circle; harvests follow them', async ({
  page,
  request,
}) => {
  const faults = watch(page);
  const account = await demoAccount(request);
  await emptyTray(request, account);
  const kept = async () =>
    ((await (await request.get(`/api/routes?account=${account}`)).json()) as { routes: Route[] }).routes;
  await request.put('/api/routes', { data: { account, routes: [] } });

  await test.step('what the structure suggests is approved for one product, and taken back', async () => {
    await page.goto(`/routes?account=${account}`);
    await expect(page.getByRole('button', { name: /^Approve these/ })).toBeVisible();
    await press(page, 'a');
    await expect.poll(async () => (await kept()).length).toBeGreaterThan(1);
    await expect(page.getByRole('navigation', { name: 'Products' })).toContainText('all have a route');
    await press(page, 'u');
    await expect.poll(kept).toEqual([]);
    await page.getByRole('button', { name: /^Approve all/ }).click();
    await expect.poll(async () => (await kept()).length).toBeGreaterThan(10);
  });

  await test.step('a route is drawn by two keys, changed by its form, and a circle is refused', async () => {
    const sources = page.getByRole('group', { name: 'Looks for terms' }).getByRole('button');
    const homes = page.getByRole('group', { name: 'Homes' }).getByRole('button');
    const [auto, research] = await sources.allTextContents();
    const before = (await kept()).length;
    await sources.filter({ hasText: auto }).press('Enter');
    await homes.filter({ hasText: research }).press('Enter');
    await expect.poll(async () => (await kept()).length).toBe(before + 1);
    const link = page.getByRole('button', { name: `${auto}, words, to ${research}`, exact: true });
    await link.press('Enter');
    const form = page.getByRole('form', { name: 'Route' });
    await pick(form, 'as', 'broad');
    await form.getByRole('button', { name: 'Keep', exact: true }).click();
    await expect.poll(async () => (await kept()).filter(({ match }) => match === 'broad').length).toBe(1);

    await sources.filter({ hasText: research }).press('Enter');
    await homes.filter({ hasText: auto }).press('Enter');
    await expect(page.getByText('The chain comes back to where it began')).toBeVisible();
    expect((await kept()).length).toBe(before + 1);
    await link.press('Enter');
    await press(page, 'Delete');
    await expect.poll(async () => (await kept()).length).toBe(before);
  });

  await test.step('a route is drawn by dragging', async () => {
    const from = (await page
      .getByRole('group', { name: 'Looks for terms' })
      .getByRole('button')
      .first()
      .boundingBox())!;
    const to = (await page.getByRole('group', { name: 'Homes' }).getByRole('button').last().boundingBox())!;
    const before = (await kept()).length;
    await page.mouse.move(from.x + 40, from.y + 15);
    await page.mouse.down();
    await page.mouse.move(to.x + 60, to.y + 15, { steps: 6 });
    await page.mouse.up();
    await expect.poll(async () => (await kept()).length).toBe(before + 1);
  });

  await test.step('a harvest goes where its route says, and is blocked where it says', async () => {
    const routes = (await kept()).map((route) => ({ ...route, block: 'campaign' as const }));
    await request.put('/api/routes', { data: { account, routes } });
    await openRound(page, account);
    await expect(evidence(page).getByLabel('Block in the source')).toHaveText('campaign');
  });

  await request.put('/api/routes', { data: { account, routes: [] } });
  expect(faults).toEqual([]);
});

test('a route to an ad group that is gone is refused with its sentence', async ({ request }) => {
  const account = await demoAccount(request);
  const tree = await treeOf(request, account);
  const sourceId = tree.adGroups[0].id;
  const answer = await request.put('/api/routes', {
    data: {
      account,
      routes: [{ sourceId, takes: 'words', homeId: 987654321, match: 'exact', block: 'nowhere' }],
    },
  });
  expect(answer.status()).toBe(400);
  expect(await answer.text()).toContain('dead end');
});
