import { expect, test } from '@playwright/test';
import type { LossInfo } from '../../src/contract/aside';
import type { RankAnswer } from '../../src/contract/rank';
import type { ReportsAnswer } from '../../src/contract/report';
import { demoAccount, emptyTray, freshStage, passDays, pick, press, sendTray, treeOf, watch } from './page';
import { pagesOf } from './pdf';

// A rank falls after its ads were cut; it is seen, its loss is accepted, and the report of it goes to paper.

test.beforeAll(freshStage);

test('rank falls after spend was cut, the loss is accepted with an end, and the report is printed', async ({
  page,
  request,
}) => {
  test.setTimeout(480_000);
  const faults = watch(page);
  const account = await demoAccount(request, 'Hollin Kites');
  const ranks = async () =>
    (await (await request.get(`/api/rank?account=${account}&span=28`)).json()) as RankAnswer;
  const table = page.getByRole('table', { name: 'Organic ranks' });
  const panel = page.getByRole('complementary', { name: 'The term' });
  // The term of which ads sell most, among those with room to fall.
  const [best] = (await ranks()).rows
    .filter(({ rank }) => rank !== null && rank >= 3 && rank <= 60)
    .sort((a, b) => b.sums.orders - a.sums.orders);
  const { term, product, productId } = best;

  await test.step('its campaigns are paused, and four weeks pass', async () => {
    await emptyTray(request, account);
    const { campaigns, adGroups } = await treeOf(request, account);
    const own = new Set(
      adGroups.filter((one) => one.productId === productId).map(({ campaignId }) => campaignId),
    );
    const changes = campaigns
      .filter(({ id, state }) => own.has(id) && state === 'enabled')
      .map(({ id }) => ({
        change: { kind: 'set-state', entity: 'campaign', id, from: 'enabled', to: 'paused' },
        reason: 'A cut, to see what it does.',
        figures: {},
        effect: { spend: 0, sales: 0 },
      }));
    const staged = await request.post('/api/changes', { data: { account, changes } });
    expect(staged.ok()).toBe(true);
    await page.goto(`/round?account=${account}&step=over`);
    await expect(page.getByRole('button', { name: `Tray · ${changes.length}` })).toBeVisible();
    await sendTray(page);
    await passDays(page, account, 28);
  });

  await test.step('the list shows it among those whose spend fell, and then the rank', async () => {
    await page.goto(`/words?account=${account}&part=rank`);
    await expect(table.getByRole('row').nth(2)).toBeVisible();
    const all = await table.getAttribute('aria-rowcount');
    await page.getByRole('button', { name: 'Spend fell, then rank' }).click();
    await expect(page).toHaveURL(/where=rank.spendChange/);
    await expect.poll(() => table.getAttribute('aria-rowcount')).not.toBe(all);
    // As a list of one condition more.
    await press(page, 's');
    await pick(page, 'Field', 'Search term');
    await page.getByLabel('Value').fill(term);
    await press(page, 'Enter');
    const row = table
      .getByRole('row')
      .filter({ has: page.getByText(term, { exact: true }) })
      .filter({ hasText: product })
      .first();
    await row.click();
    await expect(panel.getByRole('heading', { name: term, exact: true })).toBeVisible();
    await expect(panel.getByText(/^Rank .+, before .+ searches a week\.$/)).toBeVisible();
    const now = (await ranks()).rows.find(
      (one) => one.termId === best.termId && one.productId === productId,
    )!;
    expect(now.rank === 0 || now.rank! > best.rank! * 1.15).toBe(true);
    await expect(page.getByRole('group', { name: new RegExp(`^${term} day by day`) })).toBeVisible();
    await pick(page, 'Measure 3', 'Ad orders');
    await expect(
      page
        .getByRole('region', { name: 'Over time' })
        .getByText(/Ad orders/)
        .last(),
    ).toBeVisible();
  });

  await test.step('its loss is accepted until a day, and stands in the list of losses', async () => {
    await panel.getByRole('button', { name: 'Accept its loss …' }).click();
    await page.getByLabel('Why', { exact: true }).fill('The season ends; let it fall.');
    await page.getByRole('checkbox', { name: 'only while it loses less than' }).click();
    await expect(page.getByLabel('Most loss in 30 days')).toBeVisible();
    await page.getByRole('button', { name: 'Accept the loss' }).click();
    const losses = async () =>
      ((await (await request.get(`/api/losses?account=${account}`)).json()) as { losses: LossInfo[] }).losses;
    await expect
      .poll(async () => (await losses()).find(({ name }) => name === term))
      .toMatchObject({ state: 'standing', most: 50_000_000 });
    await expect(panel.getByText(/^Loss accepted until/)).toBeVisible();
    await page.getByRole('button', { name: /^Accepted losses/ }).click();
    const accepted = page.getByRole('table', { name: 'Accepted losses' });
    await expect(accepted.getByRole('row').filter({ hasText: term })).toContainText('let it fall');
  });

  await test.step('the report of the weeks is made, printed by the browser, and shown by a link until it is taken back', async () => {
    await page.goto(`/ledger?account=${account}`);
    await expect(page.getByRole('button', { name: /^Reports/ })).toBeVisible();
    await press(page, 'p');
    await expect(page.getByRole('heading', { name: 'Reports' })).toBeVisible();
    await page.getByLabel('Note on Left on purpose').fill('As agreed in autumn.');
    const opened = page.waitForEvent('popup');
    await page.getByRole('button', { name: 'Make the report' }).click();
    const sheet = await opened;
    await sheet.waitForURL(/\/report\/\d+/);
    const pages = await pagesOf(await sheet.pdf({ preferCSSPageSize: true }));
    expect(pages.length).toBeGreaterThan(2);
    expect(pages.length).toBeLessThan(12);
    pages.forEach((text, at) => {
      expect(text).toContain('Hollin Kites');
      expect(text).toContain(`Page ${at + 1} of ${pages.length}`);
    });
    const whole = pages.join(' ');
    for (const words of [
      'At a glance',
      'Why the ACOS moved',
      'What was done',
      'As agreed in autumn.',
      `${term} (${product})`,
      'The season ends; let it fall.',
      'The next round',
    ])
      expect(whole).toContain(words);
    await sheet.close();
    const kept = page.getByRole('table', { name: 'Kept reports' });
    await kept.getByRole('button', { name: 'Make a link …' }).first().click();
    await page.getByRole('button', { name: 'Make the link' }).click();
    await expect(kept.getByRole('button', { name: 'Take it back' })).toBeVisible();
    const { reports } = (await (
      await request.get(`/api/reports?account=${account}`)
    ).json()) as ReportsAnswer;
    const { path } = reports[0].links[0];
    const shown = await request.get(path);
    expect(await shown.text()).toContain('As agreed in autumn.');
    await kept.getByRole('button', { name: 'Take it back' }).click();
    await expect(kept.getByRole('button', { name: 'Take it back' })).toBeHidden();
    expect((await request.get(path)).status()).toBe(404);
  });
  expect(faults).toEqual([]);
});
