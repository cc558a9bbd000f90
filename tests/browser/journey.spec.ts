import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { manyRows } from '../make/report';
import {
  demoAccount,
  evidence,
  freshStage,
  goToStep,
  newAccount,
  openRound,
  pick,
  press,
  rowCount,
  rows,
  sendTray,
  shownTerm,
  tray,
  watch,
} from './page';

test.beforeAll(freshStage);

/** A report by names in European spelling: one term that sold, one that never did, one too long for a keyword, broken rows. */
function ownReport(): string {
  const lines = ['Day;Campaign;Ad group;Keyword;Match type;Query;Impressions;Clicks;Cost;Orders;Revenue'];
  const long = 'crock for sauerkraut and kimchi and pickles with weights and lid and book of recipes';
  for (let day = 1; day <= 28; day += 1) {
    const at = `${String(day).padStart(2, '0')}.10.2026`;
    lines.push(`${at};Crocks – research;broad;crock;broad;brown crock;200;5;2,50;1;69,00`);
    lines.push(`${at};Crocks – research;broad;crock;broad;umbrella stand;300;9;4,50;0;0,00`);
    lines.push(`${at};Crocks – research;broad;crock;broad;${long};40;2;0,90;1;69,00`);
    lines.push(`${at};Crocks – home;exact;stone crock;exact;stone crock;100;5;2,50;1;69,00`);
  }
  lines.push('05.10.2026;Crocks – research;broad;crock;broad;broken;10;-1;0,10;0;0,00');
  return `${lines.join('\n')}\n`;
}

test('import → review → accept → send → ledger', async ({ page, request }) => {
  const faults = watch(page);
  const id = await newAccount(request, 'Own reports');

  await test.step('an empty account says what to do', async () => {
    await page.goto(`/round?account=${id}&step=harvest`);
    await page.getByRole('link', { name: 'Import a search-term report' }).click();
  });

  await test.step('a report goes in by upload, its bad row is listed', async () => {
    await page
      .getByLabel('Report file')
      .setInputFiles({ name: 'october.csv', mimeType: 'text/csv', buffer: Buffer.from(ownReport()) });
    await expect(page.getByRole('status')).toContainText(
      '112 rows taken in (1 Oct 2026 to 28 Oct 2026). 1 row refused',
    );
    await expect(page.getByRole('status')).toContainText('their names serve as keys');
    await expect(page.getByRole('region', { name: 'Imports' })).toContainText('october.csv');
  });

  await test.step('the round proposes what sold and what did not', async () => {
    await page.goto(`/round?account=${id}&step=harvest`);
    await expect(rows(page)).toContainText('brown crock');
    await expect(rows(page)).not.toContainText('stone crock');
    await goToStep(page, 'Negatives');
    await expect(rows(page)).toContainText('umbrella stand');
    await expect(evidence(page)).toContainText('252 clicks, 0 orders');
  });

  await test.step('an account fed by files gets its changes as a file', async () => {
    await press(page, 'Space');
    await expect(tray(page, 1)).toBeVisible();
    await expect(page.getByRole('button', { name: 'Carried out …' })).toBeVisible();
    const csv = await (await request.get(`/api/changes/file?account=${id}&format=csv`)).text();
    expect(csv).toContain('add-negative,exact,umbrella stand');
    const json = (await (await request.get(`/api/changes/file?account=${id}&format=json`)).json()) as {
      changes: unknown[];
    };
    expect(json.changes).toMatchObject([
      { kind: 'add-negative', match: 'exact', expression: 'umbrella stand', state: 'staged' },
    ]);
  });
  expect(faults).toEqual([]);
});

test('the demo is reviewed by keyboard alone: five harvests, ten negatives, one refusal, all in the ledger', async ({
  page,
  request,
}) => {
  const faults = watch(page);
  const account = await demoAccount(request);
  const proposedOf = (on: Page) => on.getByRole('button', { name: /^Proposed/ });
  let proposed = '';
  await openRound(page, account);

  await test.step('a condition is stacked from the keyboard, and finds the terms too long for a keyword', async () => {
    await press(page, 's');
    await page.keyboard.type('term~for sauerkraut for kimchi');
    await press(page, 'Enter');
    await expect(
      page.getByRole('button', { name: /Search term holds “for sauerkraut for kimchi”/ }),
    ).toBeVisible();
    await expect(page).toHaveURL(/where=term%7Efor\+sauerkraut/);
    // None is proposed: no keyword can be made of them. By hand it is tried anyway.
    await expect(rows(page)).toHaveAttribute('aria-rowcount', '0');
    await page.goto(`${page.url()}&show=all&sort=-orders`);
    await expect(shownTerm(page)).toContainText('for sauerkraut for kimchi');
    await expect(page.getByText(/The market will refuse it/).first()).toBeVisible();
    await press(page, 'Space');
    await expect(tray(page, 2)).toBeVisible();
  });

  await test.step('four more harvests and ten negatives', async () => {
    await page.goto(`/round?account=${account}&step=harvest`);
    await expect(shownTerm(page)).toBeVisible();
    const first = await shownTerm(page).textContent();
    await press(page, 'Shift+ArrowDown', 'Shift+ArrowDown', 'Shift+ArrowDown', 'Space');
    await expect(tray(page, 10)).toBeVisible();
    await expect(shownTerm(page)).not.toHaveText(first!);
    await goToStep(page, 'Negatives');
    await expect(page.getByText(/unlikely to pay/)).toBeVisible();
    proposed = (await proposedOf(page).textContent())!;
    for (let count = 0; count < 9; count += 1) await press(page, 'Shift+ArrowDown');
    await expect(page.getByRole('button', { name: 'Accept the 10 selected' })).toBeVisible();
    await press(page, 'Space');
    await expect(tray(page, 20)).toBeVisible();
  });

  await test.step('the last decision is undone and done again; one term is left, and taken back', async () => {
    await press(page, 'u');
    await expect(tray(page, 10)).toBeVisible();
    // The rows come back a moment after the tray has let them go.
    await expect(proposedOf(page)).toHaveText(proposed);
    for (let count = 0; count < 9; count += 1) await press(page, 'Shift+ArrowDown');
    await press(page, 'Space');
    await expect(tray(page, 20)).toBeVisible();
    const left = page.getByRole('button', { name: /^Put aside/ });
    await press(page, 'x');
    await expect(left).toHaveText('Put aside 1');
    await press(page, 'u');
    await expect(left).toHaveText('Put aside 0');
  });

  await test.step('sent from the tray; the ledger shows the refusal and its reason', async () => {
    await sendTray(page);
    await expect(page.getByText('20 changes: 18 accepted, 2 refused.')).toBeVisible();
    await expect(page.getByText(/The text has \d+ characters; the market takes 80\./)).toBeVisible();
    await expect(page.getByText(/has to come first was refused/)).toBeVisible();
  });

  await test.step('what was accepted is not proposed again, and can be undone', async () => {
    await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
    await expect(tray(page, 1)).toBeVisible();
    await page.goto(`/round?account=${account}&step=negatives`);
    await expect(rows(page).getByRole('row').nth(1)).toBeVisible();
    const changes = (await (await request.get(`/api/changes?account=${account}&state=accepted`)).json()) as {
      change: { kind: string; expression: string };
      figures: { step: string };
    }[];
    const blocked = changes.find(
      ({ change, figures }) => change.kind === 'add-negative' && figures.step === 'negatives',
    )!;
    await page.goto(
      `/round?account=${account}&step=negatives&where=term~${encodeURIComponent(blocked.change.expression)}`,
    );
    await expect(page.getByLabel('Conditions').getByText(blocked.change.expression)).toBeVisible();
    await expect(rows(page).getByText(blocked.change.expression, { exact: true })).toHaveCount(0);
    await press(page, 't');
    await page.getByRole('button', { name: 'Take all out' }).click();
    await expect(tray(page, 0)).toBeVisible();
  });
  expect(faults).toEqual([]);
});

test('brushing the cut line shows the rows under the brush, and the bid is edited in place', async ({
  page,
  request,
}) => {
  await openRound(page, await demoAccount(request), '&sort=-clicks');
  const total = await rowCount(page);
  const picture = (await page.getByRole('img', { name: /^Cut line at/ }).boundingBox())!;
  await page.mouse.move(picture.x + picture.width * 0.45, picture.y + 40);
  await page.mouse.down();
  await page.mouse.move(picture.x + picture.width * 0.75, picture.y + 150, { steps: 5 });
  await page.mouse.up();
  await expect(page.getByText(/^In the brushed area: \d+$/)).toBeVisible();
  const brushed = await rowCount(page);
  expect(brushed).toBeGreaterThan(0);
  expect(brushed).toBeLessThan(total);
  await page.mouse.click(picture.x + 200, picture.y + 30);
  await expect(rows(page)).toHaveAttribute('aria-rowcount', String(total));

  await page.keyboard.press('e');
  const bid = rows(page).getByRole('textbox', { name: 'Bid' });
  await bid.fill('0.77');
  await bid.press('ArrowUp');
  await bid.press('Enter');
  const first = rows(page).getByRole('row').nth(1);
  await expect(first.getByRole('button', { name: '0.78' })).toBeVisible();
  await page.keyboard.press(']');
  await expect(first.getByRole('button', { name: '0.82' })).toBeVisible();
});

test('headings that are not recognised are asked for on the page', async ({ page, request }) => {
  const id = await newAccount(request, 'Odd headings');
  await page.goto(`/setup?account=${id}`);
  const report = ownReport().replace('Clicks', 'Taps').replace('Revenue', 'Turnover');
  await page
    .getByLabel('Report file')
    .setInputFiles({ name: 'odd.csv', mimeType: 'text/csv', buffer: Buffer.from(report) });
  const form = page.getByRole('form', { name: 'Match the columns' });
  await pick(form, 'Column for Clicks', 'Taps');
  await pick(form, 'Column for Sales', 'Turnover');
  await form.getByRole('button', { name: 'Remember this and import' }).click();
  await expect(page.getByRole('status')).toContainText('112 rows taken in');
});

test('a broken file is told in a sentence, and the page goes on', async ({ page, request }) => {
  const id = await newAccount(request, 'Broken files');
  await page.goto(`/setup?account=${id}`);
  const file = (name: string, text: string) => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
  await page.getByLabel('Report file').setInputFiles(file('page.csv', '<!doctype html><html></html>'));
  await expect(page.getByRole('status')).toContainText('The file is a web page, not a report');
  await page.getByLabel('Report file').setInputFiles(file('empty.csv', ''));
  await expect(page.getByRole('status')).toContainText('The file is empty');
});

test('eight megabytes with one bad byte are refused in the browser, once, with the line', async ({
  page,
  request,
}) => {
  const account = await newAccount(request, 'One bad byte');
  const bytes = Buffer.from(manyRows(100_000, `bad-byte-${account}`));
  bytes[bytes.indexOf('term 61234,')] = 0xff;
  await page.goto(`/setup?account=${account}`);
  await page
    .getByLabel('Report file')
    .setInputFiles({ name: 'long.csv', mimeType: 'text/csv', buffer: bytes });
  await expect(page.getByText(/line 61236 holds bytes that are no characters/).first()).toBeVisible({
    timeout: 60_000,
  });
  await page.waitForTimeout(7000); // a browser whose upload breaks off sends it again after a while
  const imports = (await (await request.get(`/api/imports?account=${account}`)).json()) as unknown[];
  expect(imports).toHaveLength(1);
});
