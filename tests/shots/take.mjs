// Drives the demo to each main view and keeps one picture of it.
import path from 'node:path';
import { chromium } from '@playwright/test';
import { CHROMIUM_FLAGS } from '../chromiumFlags.mjs';

const url = process.env.MOWING_URL;
const folder = path.resolve('docs/screenshots');
const browser = await chromium.launch({
  executablePath: process.env.MOWING_CHROMIUM,
  args: CHROMIUM_FLAGS,
});

async function open(theme) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, colorScheme: theme });
  await page.goto(`${url}/round`);
  await page.getByRole('table', { name: 'Search terms' }).getByRole('row').nth(2).waitFor();
  await page.waitForTimeout(600);
  return page;
}

async function keep(page, name) {
  await page.waitForTimeout(700);
  await page.screenshot({ path: path.join(folder, `${name}.png`) });
}

async function press(page, ...keys) {
  for (const key of keys) await page.keyboard.press(key);
  await page.waitForTimeout(500);
}

const page = await open('light');
await keep(page, 'round-harvest');
await press(page, '2');
await keep(page, 'round-negatives');
const dusk = await open('dark');
await keep(dusk, 'round-harvest-dusk');
await press(dusk, '2');
await keep(dusk, 'round-negatives-dusk');

// Five harvests, one of which the market refuses, and ten negatives; then the tray, and the ledger.
await press(page, '1', 's');
await page.keyboard.type('term~for sauerkraut for kimchi');
await press(page, 'Enter');
await press(page, 'Space');
await page.goto(`${url}/round`);
await page.getByRole('table', { name: 'Search terms' }).getByRole('row').nth(2).waitFor();
await press(page, 'Shift+ArrowDown', 'Shift+ArrowDown', 'Shift+ArrowDown', 'Space', '2');
for (let count = 0; count < 9; count += 1) await press(page, 'Shift+ArrowDown');
await press(page, 'Space', 't');
await keep(page, 'tray');
await press(page, 'Enter');
await page.waitForURL(/ledger/);
await page.waitForTimeout(600);
await keep(page, 'ledger');
await dusk.goto(`${url}/ledger`);
await keep(dusk, 'ledger-dusk');

const report = [
  'Date,Campaign,Ad group,Keyword,Match type,Search term,Impressions,Clicks,Spend,Orders,Sales',
];
for (let day = 1; day <= 28; day += 1)
  report.push(
    `${day}.10.2026,Crocks – research,broad,crock,broad,brown crock,200,${day % 9 === 0 ? -1 : 5},2.50,1,69.00`,
  );
await page.goto(`${url}/field`);
await page.getByRole('table', { name: 'Targets' }).getByRole('row').nth(2).waitFor();
await press(page, 'ArrowDown', 'Shift+ArrowDown', 'Shift+ArrowDown');
await page.getByRole('button', { name: 'Lower' }).click();
await keep(page, 'field-targets');
await dusk.goto(`${url}/field`);
await dusk.getByRole('table', { name: 'Targets' }).getByRole('row').nth(2).waitFor();
await keep(dusk, 'field-targets-dusk');

await page.goto(`${url}/setup?part=products`);
await page.getByRole('table', { name: 'Products' }).getByRole('row').nth(2).waitFor();
await keep(page, 'setup-products');
await page.goto(`${url}/setup?part=goals`);
for (const [name, percent] of [
  ['Vessels', '20'],
  ['Brine salt – auto', '30'],
]) {
  await page.getByRole('combobox', { name: 'For' }).fill(name);
  await page.getByRole('option', { name, exact: true }).click();
  await page.getByLabel('Target in per cent').fill(percent);
  await page.getByRole('button', { name: 'Set', exact: true }).click();
  await page.waitForTimeout(500);
}
await keep(page, 'setup-goals');

await page.goto(`${url}/setup`);
await page
  .getByLabel('Report file')
  .setInputFiles({ name: 'october.csv', mimeType: 'text/csv', buffer: Buffer.from(report.join('\n')) });
await page
  .getByText(/rows taken in/)
  .first()
  .waitFor();
await keep(page, 'setup-imports');
await dusk.goto(`${url}/setup`);
await keep(dusk, 'setup-imports-dusk');
await browser.close();
