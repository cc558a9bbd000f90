import { expect, test } from '@playwright/test';
import type { Browser, Page } from '@playwright/test';
import { Secret, TOTP } from 'otpauth';
import { demoAccount, freshStage, lensRows, newAccount, press, tray, watch } from './page';

test.beforeAll(freshStage);

const PASSWORD = 'five small plain words';
const ADA = 'ada@tarnbrook.example';

/** A browser of somebody's own. */
async function ownBrowser(browser: Browser, baseURL: string): Promise<{ page: Page; faults: string[] }> {
  const page = await (await browser.newContext({ baseURL })).newPage();
  return { page, faults: watch(page) };
}

async function choosePassword(page: Page, submit: string): Promise<void> {
  await page.getByLabel('Password', { exact: true }).fill(PASSWORD);
  await page.getByLabel('Once more').fill(PASSWORD);
  await page.getByRole('button', { name: submit }).click();
}

/** Comes in as the owner of everything; where nobody is one yet, she makes herself that. */
async function asOwner(page: Page, address: string, site = ''): Promise<void> {
  await page.goto(`${site}/setup?part=people`);
  const first = page.getByRole('form', { name: 'First owner' });
  await first.or(page.getByRole('form', { name: 'Sign in' })).waitFor();
  if (await first.isVisible()) {
    await page.getByLabel('Your name').fill('Ada Marlowe');
    await page.getByLabel('E-mail').fill(ADA);
    await choosePassword(page, 'Own this Mowing');
    await page.getByRole('table', { name: 'People' }).waitFor();
    // A page that finds itself signed out leads to the door by itself.
    await page.goto('about:blank');
    await page.context().clearCookies();
  }
  await page.goto(`${site}${address}`);
  await signIn(page, ADA);
}

async function signIn(page: Page, email: string, password = PASSWORD): Promise<void> {
  await page.getByLabel('E-mail').fill(email);
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Sign in' }).click();
}

test('an owner lets somebody in who decides and cannot send; she sends; the trail names both', async ({
  page,
  request,
  browser,
  baseURL,
}) => {
  const faults = watch(page);
  const account = await demoAccount(request);
  const other = await newAccount(request, 'Not for Ben');

  await test.step('whoever is here first makes herself the owner, and from then on nobody gets in', async () => {
    await asOwner(page, `/setup?account=${account}&part=people`);
    await expect(page.getByRole('table', { name: 'People' })).toContainText('owns everything');
    expect((await request.get(`/api/tree?account=${account}`)).status()).toBe(401);
  });

  const { page: bens, faults: bensFaults } = await ownBrowser(browser, baseURL!);
  await test.step('somebody else is let in by a link that works once', async () => {
    const form = page.getByRole('form', { name: 'Let somebody in' });
    await form.getByLabel('Name').fill('Ben Okoro');
    await form.getByLabel('E-mail').fill('ben@tarnbrook.example');
    await form.getByRole('button', { name: 'Let in' }).click();
    const link = await page.locator('.secretText').textContent();
    await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
    await bens.goto(link!);
    await choosePassword(bens, 'Keep it and go in');
    await expect(bens.getByRole('button', { name: 'Signed in as Ben Okoro' })).toBeVisible();
    const statuses = await bens.evaluate(
      (accounts) =>
        Promise.all(accounts.map(async (id) => (await fetch(`/api/window?account=${id}`)).status)),
      [account, other],
    );
    expect(statuses).toEqual([200, 404]);
    // The browser tells of an answer that is no figure.
    bensFaults.length = 0;
  });

  await test.step('what he decides lies in her tray without a reload, with his name', async () => {
    await page.goto(`/round?account=${account}&step=over`);
    await expect(tray(page, 0)).toBeVisible();
    await bens.goto(`/round?account=${account}&step=over`);
    await expect(bens.locator('.table-row').first()).toBeVisible();
    await press(bens, 'Space');
    await expect(tray(bens, 1)).toBeVisible();
    await press(bens, 't');
    await expect(bens.getByText('somebody who may send takes it from here')).toBeVisible();
    await expect(bens.getByRole('button', { name: /^Send \d+ change/ })).toHaveCount(0);
    await expect(tray(page, 1)).toBeVisible();
    await expect(page.getByRole('region', { name: 'Tray' })).toContainText('1 by Ben Okoro');
  });

  await test.step('she sends it; ledger and trail tell of both', async () => {
    await press(page, 't');
    await page.getByRole('button', { name: 'Send 1 change' }).click();
    await expect(page).toHaveURL(/\/ledger/);
    await expect(page.getByRole('heading', { name: /^Bale/ })).toContainText('by Ada Marlowe');
    await page.goto(`/setup?account=${account}&part=trail`);
    const trail = page.getByRole('table', { name: 'Trail' });
    await page.getByLabel('Find in the trail').fill('Okoro');
    await expect(trail.getByRole('row', { name: /Ada Marlowe let in Ben Okoro/ })).toBeVisible();
    await expect(trail.getByRole('row', { name: /Ben Okoro stage/ })).toBeVisible();
    await expect(trail.getByRole('row', { name: /Ada Marlowe send/ })).toHaveCount(0);
    await page.getByLabel('Find in the trail').fill('send');
    await expect(trail.getByRole('row', { name: /Ada Marlowe send/ })).toBeVisible();
  });

  await test.step('taken out, he is at the door, and comes in no more', async () => {
    await page.goto(`/setup?account=${account}&part=people`);
    await page
      .getByRole('row', { name: /Ben Okoro/ })
      .getByRole('button', { name: 'Take out' })
      .click();
    await page.getByRole('dialog').getByRole('button', { name: 'Take out' }).click();
    await expect(page.getByRole('table', { name: 'People' })).not.toContainText('Ben Okoro');
    await bens.reload();
    await expect(bens).toHaveURL(/\/sign-in\?to=/);
    await signIn(bens, 'ben@tarnbrook.example');
    await expect(bens.getByText('E-mail or password is wrong')).toBeVisible();
  });
  expect(faults).toEqual([]);
});

test('signed out elsewhere, a page leads to the door, and back to what was shown', async ({
  browser,
  baseURL,
  page,
}) => {
  await asOwner(page, '/field?lens=campaigns');
  await expect(page).toHaveURL(/\/field\?.*lens=campaigns/);
  const { page: there } = await ownBrowser(browser, baseURL!);
  await there.goto('/setup?part=people');
  await signIn(there, ADA);
  const sessions = there.getByRole('table', { name: 'Where you are signed in' });
  await expect(sessions.getByText('this one')).toBeVisible();
  const elsewhere = sessions.getByRole('button', { name: 'Sign out there' });
  for (let left = await elsewhere.count(); left > 0; left -= 1) {
    await elsewhere.first().click();
    await expect(elsewhere).toHaveCount(left - 1);
  }
  await page.bringToFront();
  await expect(page).toHaveURL(/\/sign-in\?to=.*campaigns/, { timeout: 60_000 });
  await signIn(page, ADA);
  await expect(lensRows(page, 'Campaigns').getByRole('row').nth(2)).toBeVisible();
});

test('a device that keeps a passkey comes in without a password, once for each question', async ({
  page,
  baseURL,
}) => {
  // Browsers make passkeys for names, not for addresses.
  const site = baseURL!.replace('127.0.0.1', 'localhost');
  const device = await page.context().newCDPSession(page);
  await device.send('WebAuthn.enable');
  await device.send('WebAuthn.addVirtualAuthenticator', {
    options: {
      protocol: 'ctap2',
      transport: 'internal',
      hasResidentKey: true,
      hasUserVerification: true,
      isUserVerified: true,
      automaticPresenceSimulation: true,
    },
  });
  await asOwner(page, '/setup?part=people', site);
  await page.getByLabel('Name of the passkey').fill('The desk');
  await page.getByRole('button', { name: 'Add a passkey' }).click();
  const keys = page.getByRole('table', { name: 'Passkeys' });
  await expect(keys).toContainText('not used yet');
  await page.getByRole('button', { name: /^Signed in as/ }).click();
  await page.getByRole('menuitem', { name: 'Sign out' }).click();
  const [answer] = await Promise.all([
    page.waitForRequest((one) => one.url().endsWith('/api/passkeys/come-in') && one.method() === 'POST'),
    page.getByRole('button', { name: 'Come in with a passkey' }).click(),
  ]);
  await expect(keys).toContainText('last used');
  // What the device signed then is worth nothing now.
  await page.context().clearCookies();
  const again = await page.request.post(`${site}/api/passkeys/come-in`, { data: answer.postDataJSON() });
  expect(again.status()).toBe(403);
  // A browser with a device in it may not close.
  await device.send('WebAuthn.disable');
  await device.detach();
});

test('codes of an app are asked for beside the password, until the password turns them off', async ({
  page,
}) => {
  await asOwner(page, '/setup?part=people');
  const part = page.getByRole('region', { name: 'Codes' });
  await part.getByRole('button', { name: 'Set up codes' }).click();
  const secret = (await part.locator('.secretText').textContent())!.replace(/ /g, '');
  const app = new TOTP({ secret: Secret.fromBase32(secret) });
  await part.getByLabel('The code that it shows').fill(app.generate());
  await part.getByRole('button', { name: 'Turn codes on' }).click();
  await expect(part).toContainText('Asked for beside your password');
  await page.context().clearCookies();
  await page.goto('/setup?part=people');
  await signIn(page, ADA);
  const code = page.getByLabel('Code of your app');
  await code.fill('000000');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByText('The code is wrong')).toBeVisible();
  await code.fill(app.generate({ timestamp: Date.now() + 30_000 })); // that of now turned codes on
  await code.press('Enter');
  await part.getByRole('button', { name: 'Turn codes off' }).click();
  await part.getByLabel('Your password').fill(PASSWORD);
  await part.getByRole('button', { name: 'Turn off' }).click();
  await expect(part).toContainText('Your password alone lets you in');
});

test('who reads an account is offered nothing that changes it', async ({ page, browser, baseURL }) => {
  await asOwner(page, '/setup?part=people');
  await page.getByRole('table', { name: 'People' }).waitFor();
  const account = await demoAccount(page.request);
  const { link } = (await (
    await page.request.post('/api/people', {
      data: { account, name: 'Cora Silva', email: 'cora@tarnbrook.example', role: 'reads' },
    })
  ).json()) as { link: { path: string } };
  const { page: coras, faults } = await ownBrowser(browser, baseURL!);
  await coras.goto(link.path);
  await choosePassword(coras, 'Keep it and go in');
  await coras.getByRole('button', { name: 'Signed in as Cora Silva' }).waitFor();
  await coras.goto(`/round?account=${account}&step=over`);
  await expect(coras.getByText('you read here')).toBeVisible();
  await expect(coras.locator('.table-row').first()).toBeVisible();
  await expect(coras.getByRole('button', { name: /^(Accept|Leave|Later)/ })).toHaveCount(0);
  for (const place of ['field?lens=targets', 'routes', 'words?part=lists', 'setup?part=goals']) {
    await coras.goto(`/${place}${place.includes('?') ? '&' : '?'}account=${account}`);
    await expect(coras.locator('main')).not.toBeEmpty();
    await expect(coras.locator('[data-may]:visible')).toHaveCount(0);
  }
  expect(faults).toEqual([]);
});

test('a script with a token does what its role lets it', async ({ page, playwright, baseURL }) => {
  await asOwner(page, '/setup?part=people');
  const form = page.getByRole('form', { name: 'New token' });
  await form.getByLabel('What uses it').fill('night figures');
  await form.getByRole('button', { name: 'Make a token' }).click();
  const key = await page.locator('.secretText').textContent();
  const script = await playwright.request.newContext({
    baseURL,
    extraHTTPHeaders: { authorization: `Bearer ${key}` },
  });
  const [account, ...others] = (await (await script.get('/api/accounts')).json()) as { id: number }[];
  expect(others).toEqual([]);
  expect((await script.get(`/api/window?account=${account.id}`)).status()).toBe(200);
  const goal = { account: account.id, scope: 'account', scopeId: null, kind: 'acos', low: 0.2, high: 0.2 };
  expect((await script.put('/api/goals', { data: goal })).status()).not.toBe(200);
  const report = { account: account.id, from: '2026-10-17', to: '2026-11-15', parts: [{ part: 'summary' }] };
  expect((await script.post('/api/reports', { data: report })).status()).toBe(403);
  // A report that was shared is shown to whoever has its link, who sees nothing else.
  const { id } = (await (await page.request.post('/api/reports', { data: report })).json()) as { id: number };
  const asked = { account: account.id, report: id, until: '2027-02-01' };
  const { path } = (await (await page.request.post('/api/reports/links', { data: asked })).json()) as {
    path: string;
  };
  const outside = await playwright.request.newContext({ baseURL });
  expect((await outside.get(path)).status()).toBe(200);
  expect((await outside.get(`/report/${id}?account=${account.id}`)).url()).toContain('/sign-in');
  await outside.dispose();
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
  await page.getByRole('button', { name: 'End now' }).click();
  await expect(page.getByRole('button', { name: 'End now' })).toHaveCount(0);
  expect((await script.get('/api/accounts')).status()).toBe(401);
  await script.dispose();
});

test('with several accounts the first page shows them side by side, and leads into each', async ({
  page,
}) => {
  await asOwner(page, '/');
  await expect(page).toHaveURL(/\/accounts$/);
  const table = page.getByRole('table', { name: 'Accounts' });
  const row = table.getByRole('row', { name: /^Tarnbrook Ferments/ });
  // Spend, ACOS, target, what the month comes to, bids that would be changed.
  await expect(row).toHaveText(/[\d,]+\.\d\d EUR\d+\.\d %24\.0 %[\d,]+\.\d\d\d{2,}/);
  await row.getByRole('link').click();
  await expect(page).toHaveURL(/\/round\?account=/);
  await page.getByRole('link', { name: 'Mowing' }).click();
  await expect(table).toBeVisible();
});
