import { expect, test } from '@playwright/test';
import type { APIRequestContext } from '@playwright/test';
import type { ChangeInfo } from '../../src/contract/changes';
import type { ReviewData } from '../../src/contract/review';
import { matchForm } from '../../src/core/matching';
import type { WordLists } from '../../src/core/matching';
import { addDays } from '../../src/core/units';
import type { AsJson } from '../../src/contract/packed';
import {
  demoAccount,
  emptyTray,
  evidence,
  freshStage,
  lensRows,
  openRound,
  passDays,
  pick,
  press,
  rows,
  sendTray,
  stagedIn,
  tray,
  treeOf,
  watch,
} from './page';

test.beforeAll(freshStage);

let account: number;

test.beforeEach(async ({ request }) => {
  account = await demoAccount(request);
  await emptyTray(request, account);
  await request.put('/api/routes', { data: { account, routes: [] } });
});

const stagedOf = (request: APIRequestContext) => stagedIn(request, account);
const countOf = (changes: ChangeInfo[], kinds: string[]) =>
  changes.filter(({ change }) => kinds.includes(change.kind)).length;

test('terms are harvested along routes and others blocked; 14 days later they run in their homes alone', async ({
  page,
  request,
}) => {
  const faults = watch(page);
  const added = ['add-keyword', 'add-item-target'];

  await test.step('the routes that the structure suggests are approved', async () => {
    await page.goto(`/routes?account=${account}`);
    await page.getByRole('button', { name: /^Approve all/ }).click();
    await expect(page.getByRole('navigation', { name: 'Products' })).toContainText('all have a route');
  });

  await test.step('the first 20 harvests are accepted: each a target in its home and its negatives', async () => {
    await openRound(page, account);
    for (let count = 0; count < 19; count += 1) await press(page, 'Shift+ArrowDown');
    await expect(page.getByRole('button', { name: 'Accept the 20 selected' })).toBeVisible();
    await press(page, 'Space');
    await expect.poll(async () => countOf(await stagedOf(request), added)).toBe(20);
  });

  await test.step('10 negatives are accepted', async () => {
    await openRound(page, account, '&step=negatives');
    const before = (await stagedOf(request)).length;
    for (let count = 0; count < 9; count += 1) await press(page, 'Shift+ArrowDown');
    await press(page, 'Space');
    await expect.poll(async () => (await stagedOf(request)).length).toBe(before + 10);
  });

  const costly = await test.step('one more by hand, of a term that sold', async () => {
    const before = await stagedOf(request);
    const taken = new Set(before.map(({ figures }) => figures.termId));
    const { rows: terms, structure } = (await (
      await request.get(`/api/review?account=${account}`)
    ).json()) as AsJson<ReviewData>;
    const looks = new Set(
      structure.targets.filter(({ kind }) => kind === 'auto').map((one) => one.adGroupId),
    );
    const sold = terms.termId.findIndex(
      (id, at) => !taken.has(id) && terms.orders[at] >= 2 && looks.has(terms.adGroupId[at]),
    );
    await openRound(
      page,
      account,
      `&step=negatives&show=all&sort=-orders&where=${encodeURIComponent(`term~${terms.term[sold]}`)}`,
    );
    await expect(evidence(page)).toContainText(terms.term[sold]);
    await expect(tray(page, before.length)).toBeVisible();
    await press(page, 'Space');
    await expect(tray(page, before.length + 1)).toBeVisible();
    await expect(rows(page)).toContainText('in the tray');
    return (await stagedOf(request)).at(-1)!.figures.term!;
  });

  const staged = await stagedOf(request);
  const sentOn = (await treeOf(request, account)).today;
  await test.step('the tray asks for it, and sends when it is confirmed', async () => {
    await press(page, 't', 'Enter');
    const asked = page.getByRole('region', { name: 'Negatives that cost sales' });
    await expect(asked).toContainText(costly);
    await expect(asked).toContainText(/orders?, [\d,.]+ EUR in 90 days/);
    await press(page, 'Escape');
    await sendTray(page);
    await expect(
      page.getByText(`${staged.length} changes: ${staged.length} accepted, 0 refused`),
    ).toBeVisible();
  });

  await test.step('14 days pass', () => passDays(page, account, 14));

  const harvested = staged.filter(({ change }) => added.includes(change.kind));
  // The day on which they were sent is shared by before and after.
  const [from, to] = [addDays(sentOn, 1), addDays(sentOn, 13)];
  await test.step('they run in their homes, and in their sources no more', async () => {
    const { rows: now } = (await (
      await request.get(`/api/review?account=${account}&from=${from}&to=${to}`)
    ).json()) as AsJson<ReviewData>;
    const shownIn = (term: string, adGroupId: number) =>
      now.term.reduce(
        (sum, text, at) =>
          sum +
          (matchForm(text) === matchForm(term) && now.adGroupId[at] === adGroupId ? now.impressions[at] : 0),
        0,
      );
    let inHomes = 0;
    for (const { change, figures } of harvested) {
      expect(shownIn(figures.term!, figures.adGroupId!), `${figures.term} in its source`).toBe(0);
      if (shownIn(figures.term!, (change as { adGroupId: number }).adGroupId) > 0) inHomes += 1;
    }
    expect(inHomes).toBeGreaterThanOrEqual(18);
    const blocked = staged.filter(({ figures }) => figures.step === 'negatives');
    expect(blocked).toHaveLength(11);
    for (const { figures } of blocked) expect(shownIn(figures.term!, figures.adGroupId!)).toBe(0);
  });

  await test.step('so it stands in the field, and the round says that it is exact now', async () => {
    const [{ change, figures }] = harvested;
    const tree = await treeOf(request, account);
    const home = tree.adGroups.find(({ id }) => id === (change as { adGroupId: number }).adGroupId)!;
    const campaign = tree.campaigns.find(({ id }) => id === home.campaignId)!;
    const where = encodeURIComponent(`name~${figures.term}`);
    await page.goto(`/field?account=${account}&lens=terms&where=${where}&from=${from}&to=${to}`);
    const first = lensRows(page, 'Search terms')
      .getByRole('row', { name: new RegExp(figures.term!, 'i') })
      .first();
    await expect(first).toContainText(campaign.name);
    await openRound(
      page,
      account,
      `&step=harvest&show=all&where=${encodeURIComponent(`term~${figures.term}`)}`,
    );
    await expect(rows(page)).toContainText(figures.term!);
    await expect(evidence(page)).toContainText(`Exact in ${campaign.name}`);
  });

  await test.step('the ledger shows the bale, and what harvests did', async () => {
    await page.goto(`/ledger?account=${account}`);
    await expect(
      page.getByText(`${staged.length} changes: ${staged.length} accepted, 0 refused`),
    ).toBeVisible();
    await press(page, 'w');
    const sorts = page.getByRole('table', { name: 'Effects by kind of change' });
    await expect(sorts.getByRole('row', { name: /Harvest: new keywords and targets/ })).toBeVisible();
  });
  expect(faults).toEqual([]);
});

test('a home is made on the spot: a route leads there, terms are staged into it, and the market makes it', async ({
  page,
  request,
}) => {
  await page.goto(`/routes?account=${account}`);
  await expect(page.getByRole('button', { name: /^Approve these/ })).toBeVisible();
  await press(page, 'h');
  const form = page.getByRole('form', { name: 'New home' });
  await pick(form, 'A home of', 'phrase keywords');
  const name = (await form.locator('strong').textContent())!;
  expect(name).toMatch(/ – phrase( \d+)?$/);
  await form.getByRole('button', { name: 'Stage this home' }).click();
  await expect(tray(page, 3)).toBeVisible();

  const draft = page.getByRole('group', { name: 'Homes' }).getByRole('button', { name: /· draft$/ });
  await page.getByRole('group', { name: 'Looks for terms' }).getByRole('button').first().press('Enter');
  await draft.press('Enter');
  const link = page.getByRole('button', { name: /words, to .*· draft$/ });
  await link.press('Enter');
  const route = page.getByRole('form', { name: 'Route' });
  await pick(route, 'as', 'phrase');
  await pick(route, 'when it shows', 'at least …');
  await route.getByLabel('Orders').fill('1');
  await pick(route, 'starts at', 'what the market suggests');
  await route.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByRole('group', { name: 'Routes' })).toContainText('words, phrase, from 1 order');

  const { adGroups } = await treeOf(request, account);
  const home = adGroups.find(({ state }) => state === 'draft')!;
  await openRound(page, account);
  await expect.poll(() => rows(page).getAttribute('aria-rowcount')).not.toBe('0');
  await press(page, 'a');
  await page.getByRole('button', { name: /^Accept all/ }).click();
  await expect
    .poll(async () =>
      (await stagedOf(request)).some(
        ({ change }) =>
          change.kind === 'add-keyword' && change.adGroupId === home.id && change.match === 'phrase',
      ),
    )
    .toBe(true);
  await sendTray(page);
  await expect(page.getByText(/changes: \d+ accepted, 0 refused/)).toBeVisible();
  const made = (await treeOf(request, account)).campaigns.filter((one) => one.name === name);
  expect(made.map(({ state }) => state)).toContain('enabled');
});

test('a list of negatives is kept over campaigns: what is missing is staged, what is taken off is lifted', async ({
  page,
  request,
}) => {
  await page.goto(`/words?account=${account}&part=lists`);
  const name = `Sold by nobody ${Date.now() % 100_000}`;
  await page.getByLabel('Name of a new list').fill(name);
  await page.getByRole('button', { name: 'Make it' }).click();
  await expect(page.getByText(`“${name}”: 0 terms over 0 campaigns`)).toBeVisible();
  await page.getByLabel('Terms to add').fill('second hand\nused jars; QY7K3M92TD');
  await pick(page, 'Match', 'phrase');
  await page.getByRole('button', { name: 'Add 3' }).click();
  await expect(page.getByText('3 terms over 0 campaigns')).toBeVisible();
  const campaigns = page.getByRole('region', { name: 'Campaigns of the list' });
  await campaigns.getByRole('checkbox').first().check();
  await expect(page.getByText('3 terms over 1 campaign;')).toBeVisible();
  await page.getByRole('button', { name: 'Stage the 3 missing' }).click();
  await expect(tray(page, 3)).toBeVisible();
  expect((await stagedOf(request)).map(({ change }) => (change as { match: string }).match)).toEqual([
    'phrase',
    'phrase',
    'item',
  ]);
  await sendTray(page);
  await page.goto(`/words?account=${account}&part=lists`);
  await page.getByRole('button', { name: new RegExp(`^${name}`) }).click();
  await expect(page.getByText('3 of 3 hold')).toBeVisible();
  await campaigns.getByRole('checkbox').first().uncheck();
  await page.getByRole('button', { name: 'Lift 3 that it no longer asks for' }).click();
  await expect(tray(page, 3)).toBeVisible();
});

test('brands are told by lists, and conditions part the terms by them; what is never wanted is proposed', async ({
  page,
  request,
}) => {
  const { lists } = (await (await request.get(`/api/word-lists?account=${account}`)).json()) as {
    lists: WordLists;
  };
  await page.goto(`/setup?account=${account}&part=words`);
  await expect(page.getByLabel('Own brand')).toHaveValue('Tarnbrook');
  const keep = page.getByRole('button', { name: 'Keep the lists' });
  await page.getByLabel('Never wanted').fill('…');
  await keep.click();
  await expect(page.getByText('“…” holds no word')).toBeVisible();
  await page.getByLabel('Never wanted').fill('fermentation crocks');
  await keep.click();
  await expect(page.getByText('Terms are sorted by these words')).toBeVisible();

  await openRound(page, account, '&show=all&where=termKind%3Down+brand');
  await expect(evidence(page)).toContainText('own brand (“Tarnbrook”)');
  await openRound(page, account, '&step=negatives&where=termKind%3Dnever+wanted');
  await expect(rows(page)).toContainText('never wanted');
  await expect(evidence(page)).toContainText(
    'Holds “fermentation crocks”, which is on the list of what is never wanted',
  );
  await page.goto(`/field?account=${account}&lens=terms&where=termKind%3Drival+brand`);
  await expect(lensRows(page, 'Search terms').getByText('rival brand').first()).toBeVisible();
  await request.put('/api/word-lists', { data: { account, lists } });
});
