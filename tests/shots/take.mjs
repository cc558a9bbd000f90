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
  // The tour was taken.
  await page.addInitScript(() => localStorage.setItem('mowing-tour-at', '-1'));
  return page;
}

/** Goes to a place, and waits for the rows of its table. */
async function visit(page, address, table, nth = 2) {
  await page.goto(`${url}${address}`);
  await page.getByRole('table', { name: table, exact: true }).getByRole('row').nth(nth).waitFor();
  await page.waitForTimeout(1200);
}

async function keep(page, name) {
  await page.waitForTimeout(700);
  await page.screenshot({ path: path.join(folder, `${name}.png`) });
}

async function press(page, ...keys) {
  for (const key of keys) await page.keyboard.press(key);
  await page.waitForTimeout(500);
}

/** Sends the tray; negatives that would have cost sales are confirmed. */
async function send(page) {
  const button = page.getByRole('button', { name: /^Send/ });
  const confirm = page.getByRole('button', { name: /anyway/ }).first();
  await button.click();
  await Promise.race([
    page.waitForURL(/ledger\?account=\d+&bale/),
    confirm.waitFor().then(async () => {
      await confirm.click();
      await button.click();
    }),
  ]).catch(() => {});
  await page.waitForURL(/ledger\?account=\d+&bale/);
}

const page = await open('light');
const dusk = await open('dark');
await page.goto(`${url}/round`);
await page.getByText('How targets stand').waitFor();
await keep(page, 'round-overview');
await visit(page, '/round?step=over', 'Targets');
await press(page, '<', '<', '<');
await keep(page, 'round-over');
await press(page, 'Escape');
await visit(page, '/round?step=harvest', 'Search terms');
await keep(page, 'round-harvest');
await page.goto(`${url}/round?step=budgets`);
await page.getByRole('button', { name: 'Plan with it' }).first().click();
await page.getByRole('table', { name: 'Campaigns', exact: true }).getByRole('row').nth(2).waitFor();
await page.getByRole('alert').waitFor({ state: 'hidden' });
await keep(page, 'round-budgets');

// The field: keywords far over their target, search terms inside one product, automatic groups by campaign.
await visit(page, '/field?lens=keywords&where=clicks%3E%3D10&where=vsTarget%3E%3D1.5', 'Keywords');
await press(page, 'Shift+ArrowDown', 'Shift+ArrowDown', 'Shift+ArrowDown');
await keep(page, 'field-keywords');
await page.goto(`${url}/field?lens=auto&shape=cross&down=campaign&across=kind`);
await page.getByRole('table', { name: 'ACOS by campaign and kind' }).waitFor();
await keep(page, 'field-cross-tab');
await page.goto(`${url}/hours`);
await page.getByRole('img', { name: /^How clicks sell/ }).waitFor();
await keep(page, 'hours');
await visit(page, '/build', 'Findings');
await keep(page, 'build-structure');
await page.goto(`${url}/build?part=plan`);
await page.getByText('No plan is open.').waitFor();
await press(page, 'n');
await page.getByRole('button', { name: 'Begin' }).click();
await page.getByText(/margin 36 %/).waitFor();
await press(page, '2');
await page.getByRole('combobox', { name: 'Take from', exact: true }).click();
await page.getByRole('option', { name: 'The market’s suggestions' }).click();
await page.getByRole('button', { name: /^Add \d+$/ }).click();
const terms = page.getByRole('textbox', { name: 'Terms to add' });
await terms.fill(
  'yoghurt cups!\nset of six small yoghurt glasses with lids and a spoon for children\nYoghurt Pot',
);
await terms.press('Control+Enter');
await page.getByText(/lines are wrong/).waitFor();
await page.getByRole('tab', { name: /^Campaigns/ }).click();
await page.getByRole('table', { name: 'Cross-negatives' }).scrollIntoViewIfNeeded();
await keep(page, 'build-plan');

// A rule of bids, tried on the nights that are past.
await page.goto(`${url}/standing?account=1`);
await page.getByRole('navigation', { name: 'Rules' }).getByRole('combobox', { name: 'New rule' }).click();
await page.getByRole('option', { name: /^Bids:/ }).click();
await page.getByText(/Bids: moves bids toward the target/).waitFor();
await press(page, 'y');
const tried = page.getByRole('table', { name: 'Nights tried' });
await tried.getByRole('button', { name: 'Show' }).nth(6).waitFor({ timeout: 120_000 });
await page.getByRole('alert').waitFor({ state: 'hidden' });
await keep(page, 'standing-rule');

// A growth plan that has taken a product's campaigns in.
await page.goto(`${url}/standing?account=1&part=growth`);
await page.getByLabel('New plan for').click();
await page.getByRole('option', { name: /^Glass weights/ }).click();
await page.getByRole('button', { name: 'Take campaigns in …' }).click();
await page.getByRole('dialog').getByRole('button', { name: 'Take them in' }).click();
const settings = page.getByRole('group', { name: 'Settings of the plan' });
await settings.getByLabel(/Total a day/).fill('45');
await settings.getByLabel(/Total a day/).press('Enter');
await page.getByText(/of 45.00 EUR a day is given out/).waitFor({ timeout: 60_000 });
// What was done is told for a while, and can be undone there.
await page.waitForFunction(() => !document.querySelector('[role="alert"]'));
await page.locator('.planScroll').evaluate((scroll) => (scroll.scrollTop = 0));
await keep(page, 'standing-growth');

await visit(page, '/words?length=2', 'Word parts');
await keep(page, 'words-parts');
await visit(page, '/words?part=rank', 'Organic ranks');
await press(page, 'ArrowDown', 'ArrowDown', 'ArrowDown', 'ArrowDown');
await page.getByRole('heading', { name: 'fermentation crock', exact: true }).waitFor();
await page.waitForTimeout(800);
await keep(page, 'words-rank');
await page.goto(`${url}/routes`);
await page.getByRole('button', { name: /^Approve these/ }).waitFor();
await keep(page, 'routes');

// Five harvests, one of which the market refuses, and ten negatives; then the tray, and the ledger.
await visit(page, '/round?step=harvest', 'Search terms');
await press(page, 's');
await page.keyboard.type('term~for sauerkraut for kimchi');
await press(page, 'Enter');
await press(page, 'Space');
await visit(page, '/round?step=harvest', 'Search terms');
await press(page, 'Shift+ArrowDown', 'Shift+ArrowDown', 'Shift+ArrowDown', 'Space', '6');
for (let count = 0; count < 9; count += 1) await press(page, 'Shift+ArrowDown');
await press(page, 'Space');
// A bid lowered and the target paused: the tray tells that they do not go together.
await visit(page, '/field?lens=keywords&sort=-spend', 'Keywords');
await press(page, '[', 'p', 't');
await keep(page, 'tray');
await page.getByRole('button', { name: /^Do not pause it/ }).click();
await page.waitForTimeout(800);
await send(page);

// Dead spend and overpaying, 14 days, and what they did.
for (const step of ['dead', 'over']) {
  await visit(page, `/round?step=${step}`, 'Targets');
  await press(page, 'a', 'Enter');
  await page.waitForTimeout(2500);
}
await press(page, 't');
await send(page);
await page.goto(`${url}/setup`);
await page.getByLabel('Days to let pass, days').fill('14');
await page.getByRole('button', { name: 'Let pass' }).click();
await page.getByText(/14 days passed/).waitFor({ timeout: 240_000 });
await dusk.goto(`${url}/ledger`);
await dusk.getByText(/compared with untouched/).waitFor();
await keep(dusk, 'ledger-effect-dusk');

// The report of these two weeks, as it is printed: its first page.
await page.goto(`${url}/ledger?view=reports`);
const [sheet] = await Promise.all([
  page.waitForEvent('popup'),
  page.getByRole('button', { name: 'Make the report' }).click(),
]);
await sheet.waitForURL(/\/report\/\d+/);
await sheet.setViewportSize({ width: 800, height: 1131 });
await keep(sheet, 'report');
await sheet.close();

// All accounts side by side; then, last of all, who may come in: from then on everybody signs in.
await page.goto(`${url}/accounts`);
await page.waitForFunction(() => document.querySelector('table')?.textContent.includes('…') === false);
await keep(page, 'accounts');
await page.goto(`${url}/setup?part=people`);
await page.getByLabel('Your name').fill('Ada Marlowe');
await page.getByLabel('E-mail').fill('ada@tarnbrook.example');
await page.getByLabel('Password', { exact: true }).fill('five small plain words');
await page.getByLabel('Once more').fill('five small plain words');
await page.getByRole('button', { name: 'Own this Mowing' }).click();
for (const [name, email, role] of [
  ['Ben Okoro', 'ben@tarnbrook.example', 'decides'],
  ['Cora Lind', 'cora@agency.example', 'sends'],
]) {
  const form = page.getByRole('form', { name: 'Let somebody in' });
  await form.getByLabel('Name').fill(name);
  await form.getByLabel('E-mail').fill(email);
  await form.getByLabel('Role').click();
  await page.getByRole('option', { name: role }).click();
  await form.getByRole('button', { name: 'Let in' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
}
await keep(page, 'people');
await browser.close();
