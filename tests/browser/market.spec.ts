import { expect, test } from '@playwright/test';
import type { FieldSumsAnswer } from '../../src/contract/api';
import { aReport, aReportRow } from '../make/report';
import { demoAccount, emptyTray, freshStage, newAccount, openField, pick, press, watch } from './page';
import type { AsJson } from '../../src/contract/packed';

test.beforeAll(freshStage);

test('ten bids lowered by hand, sent, seven days pass: the spend has moved', async ({ page, request }) => {
  test.setTimeout(180_000);
  const faults = watch(page);
  const account = await demoAccount(request, 'Hollin Kites');
  await emptyTray(request, account);
  const spendOf = async (ids: number[], from: string, to: string) => {
    const { columns } = (await (
      await request.get(`/api/field?account=${account}&from=${from}&to=${to}`)
    ).json()) as AsJson<FieldSumsAnswer>;
    return ids.reduce((sum, id) => sum + (columns.spend[columns.targetId.indexOf(id)] ?? 0), 0);
  };
  const week = '&from=2026-11-16&to=2026-11-22';

  await test.step('the ten exact keywords that spend most are found, and lowered by 60 %', async () => {
    await openField(page, account, 'Keywords', `&lens=keywords&where=kind%3Dexact${week}`);
    for (let count = 0; count < 9; count += 1) await press(page, 'Shift+ArrowDown');
    const bar = page.getByRole('form', { name: 'Change by hand' });
    await expect(bar).toContainText('10 keywords selected');
    await bar.getByLabel('Per cent').fill('-60');
    await expect(bar).toContainText('10 down');
    await bar.getByRole('button', { name: 'Stage 10' }).click();
    await expect(page.getByRole('button', { name: 'Tray · 10', exact: true })).toBeVisible();
    await expect(bar).toContainText('10 wait in the tray');
  });

  const staged = (await (await request.get(`/api/changes?account=${account}&state=staged`)).json()) as {
    change: { kind: string; targetId: number; from: number | null; to: number };
  }[];
  expect(staged.length).toBeGreaterThanOrEqual(5);
  for (const { change } of staged) {
    expect(change.kind).toBe('set-bid');
    // One that bid its ad group's default gets a bid of its own.
    if (change.from !== null) expect(change.to).toBeLessThan(change.from);
  }
  const ids = staged.map(({ change }) => change.targetId);
  const before = await spendOf(ids, '2026-11-16', '2026-11-22');

  await test.step('sent from the tray, the ledger shows them accepted', async () => {
    await press(page, 't');
    await page.getByRole('button', { name: `Send ${staged.length} changes` }).click();
    await expect(page.getByText(`${staged.length} changes: ${staged.length} accepted`)).toBeVisible();
    await expect(page.getByText(/Lower the bid/).first()).toBeVisible();
  });

  await test.step('seven days pass on the market, with progress, and are taken over', async () => {
    await page.goto(`/setup?account=${account}`);
    const market = page.getByRole('region', { name: 'Market' });
    await market.getByRole('button', { name: 'Let pass' }).click();
    await expect(market.getByLabel('Progress')).toBeVisible();
    await expect(market.getByRole('status')).toContainText(
      '7 days passed. Up to date with the market’s 29 Nov 2026',
      {
        timeout: 120_000,
      },
    );
    await expect(page.getByRole('region', { name: 'Reports from the market' })).toContainText('29 Nov');
  });

  await test.step('the field shows what it did', async () => {
    expect(await spendOf(ids, '2026-11-23', '2026-11-29')).toBeLessThan(0.8 * before);
    await openField(
      page,
      account,
      'Keywords',
      '&lens=keywords&where=age<%3D14&from=2026-11-23&to=2026-11-29',
    );
    await expect(page.getByText(`before (16 Nov – 22 Nov)`)).toBeVisible();
    await expect(page.getByText(`${ids.length} keywords spent`)).toBeVisible();
    // The evidence panel tells what was changed on the row, and when.
    await expect(page.getByRole('complementary', { name: 'Evidence' })).toContainText('Lower the bid');
  });
  expect(faults).toEqual([]);
});

test('a sync that is asked for twice runs once, and says so', async ({ page, request }) => {
  const account = await demoAccount(request);
  await page.goto(`/setup?account=${account}`);
  const market = page.getByRole('region', { name: 'Market' });
  await market.getByRole('button', { name: 'Sync now' }).click();
  await expect(market.getByRole('status')).toContainText('nothing was new', { timeout: 60_000 });
});

test('costs are entered in the table, give a margin, and are taken back', async ({ page, request }) => {
  const account = await newAccount(request, 'Costs');
  await request.post(`/api/imports?account=${account}&kind=costs`, {
    data: Buffer.from('Item code,Product,Price,Cost of goods,Fees\nQ7BC12D3F4,Crock,69,21,10.35\n'),
  });
  await page.goto(`/setup?account=${account}&part=products`);
  await expect(page.getByText('1 of 1 products lack costs')).toBeVisible();
  const row = page.getByRole('table', { name: 'Products' }).getByRole('row').nth(1);
  const shipping = row.getByLabel('Shipping of Crock');
  await shipping.fill('nine');
  await press(page, 'Enter');
  await expect(shipping).toHaveAttribute('aria-invalid', 'true');
  await shipping.fill('6,90');
  await press(page, 'Enter');
  // (69 - 21 - 10.35 - 6.90) / 69
  await expect(row).toContainText('44.6 %');
  await shipping.blur();
  await press(page, 'u');
  await expect(page.getByText('1 of 1 products lack costs')).toBeVisible();
});

test('a target is set on a campaign, counts there, and can be put back after it was removed', async ({
  page,
  request,
}) => {
  const account = await newAccount(request, 'Targets');
  await request.post(`/api/imports?account=${account}&kind=entities`, {
    data: Buffer.from('Campaign,Ad group,Target,Match type\nWeights,research,jar weights,broad\n'),
  });
  await page.goto(`/setup?account=${account}&part=goals`);
  await page.getByRole('combobox', { name: 'For' }).fill('Weights');
  await page.getByRole('option', { name: 'Weights', exact: true }).click();
  await page.getByRole('form', { name: 'Set a target' }).getByLabel('Target, %').fill('31');
  await page.getByRole('button', { name: 'Set', exact: true }).click();
  const list = page.getByRole('table', { name: 'Targets' });
  await expect(list).toContainText('31.0 %');
  await list.getByRole('button', { name: 'Remove' }).click();
  await expect(page.getByText('No other target is set.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(list).toContainText('31.0 %');
});

test('a workbook goes in by upload, and comes out again as a file', async ({ page, request }) => {
  const account = await newAccount(request, 'Workbooks');
  const post = await request.post(`/api/imports?account=${account}&kind=sales`, {
    data: Buffer.from('Date,Item code,Product,Orders,Units,Sales\n2026-10-05,Q7BC12D3F4,Crock,3,4,276.00\n'),
  });
  expect(await post.json()).toMatchObject({ state: 'done', kept: 1, kind: 'sales' });
  const book = await (await request.get(`/api/export?account=${account}&kind=sales&format=xlsx`)).body();
  await page.goto(`/setup?account=${account}`);
  await pick(page, 'Kind of file', 'Product sales');
  await page
    .getByLabel('Report file')
    .setInputFiles({ name: 'sales.xlsx', mimeType: 'application/octet-stream', buffer: book });
  await expect(page.getByRole('status')).toContainText('Nothing changed: the only row');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'CSV' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('Workbooks Search terms.csv');
});

test('the market’s endpoints are refused to an account that has none', async ({ request }) => {
  const account = await newAccount(request, 'No market');
  const answer = await request.post('/api/sync', { data: { account } });
  expect(answer.status()).toBe(409);
  expect(((await answer.json()) as { error: { message: string } }).error.message).toContain('fed by files');
});

test('an open page says that there are newer data, and shows the old ones until they are taken over', async ({
  page,
  request,
}) => {
  const account = await newAccount(request, 'Comes in later');
  await page.goto(`/field?account=${account}&lens=terms`);
  await expect(page.getByText('This account has no search terms yet.')).toBeVisible();
  const rows = page.getByRole('table', { name: 'Search terms', exact: true });
  await expect(rows.getByText('late jar')).toBeHidden();
  const post = await request.post(`/api/imports?account=${account}&kind=terms`, {
    data: Buffer.from(aReport({ rows: [aReportRow({ term: 'late jar' })] })),
    headers: { 'content-type': 'application/octet-stream' },
  });
  expect(((await post.json()) as { kept: number }).kept).toBe(1);
  const takeOver = page.getByRole('button', { name: 'New data · take over' });
  await expect(takeOver).toBeVisible();
  await expect(rows.getByText('late jar')).toBeHidden();
  await takeOver.click();
  await expect(rows.getByText('late jar').first()).toBeVisible();
  await expect(takeOver).toBeHidden();
});
