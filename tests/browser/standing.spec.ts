import { expect, test } from '@playwright/test';
import type { NightsAnswer, RulesAnswer } from '../../src/contract/rules';
import {
  demoAccount,
  emptyTray,
  freshStage,
  passDays,
  pick,
  press,
  sendTray,
  stagedIn,
  treeOf,
  watch,
} from './page';

// What is done by night: a rule is made, tried, asks, sends by itself, stops, and a night is taken back.

test.beforeAll(freshStage);

test('a rule of bids: made, tried on the past, sends by itself for 14 days; a guard rail trips; a night is undone', async ({
  page,
  request,
}) => {
  test.setTimeout(360_000);
  const faults = watch(page);
  const account = await demoAccount(request, 'Hollin Kites');
  await emptyTray(request, account);
  const rules = async () =>
    (await (await request.get(`/api/rules?account=${account}`)).json()) as RulesAnswer;
  const nights = async () =>
    ((await (await request.get(`/api/nights?account=${account}`)).json()) as NightsAnswer).nights;

  await test.step('made, with a target range and a smaller step', async () => {
    await page.goto(`/standing?account=${account}`);
    await expect(page.getByText('No rule yet.')).toBeVisible();
    await pick(page.getByRole('navigation', { name: 'Rules' }), 'New rule', /^Bids:/);
    await expect(page.getByText(/Bids: moves bids toward the target/)).toBeVisible();
    const settings = page.getByRole('group', { name: 'Settings of the rule' });
    await settings.getByLabel('in one night down by, %').fill('20');
    await settings.getByLabel('in one night down by, %').press('Enter');
    await expect.poll(async () => (await rules()).rules[0].rule.step.down).toBe(0.2);
    await settings.getByLabel('Changes at most').fill('2');
    await settings.getByLabel('Changes at most').press('Enter');
    await pick(settings, 'On which nights', 'every so many nights');
    await settings.getByLabel('Nights between').fill('2');
    await settings.getByLabel('Nights between').press('Enter');
    await expect.poll(async () => (await rules()).rules[0].rule.rhythm).toEqual({ kind: 'every', days: 2 });
    await pick(settings, 'What becomes of it', 'sends by itself');
    await expect.poll(async () => (await rules()).rules[0].rule.sends).toBe(true);
  });

  await test.step('it may not send before it was tried; tried, it tells each night with its reasons', async () => {
    await expect(page.getByRole('switch', { name: 'on', exact: true })).toBeDisabled();
    await press(page, 'y');
    const tried = page.getByRole('table', { name: 'Nights tried' });
    await expect(tried.getByRole('button', { name: 'Show' })).toHaveCount(7, { timeout: 120_000 });
    await tried.getByRole('button', { name: 'Show' }).last().click();
    await expect(tried.getByText(/bid \d/).first()).toBeVisible();
    await expect(tried.getByText(/beyond the changes of a night/).first()).toBeVisible();
    // Tried alone is not enough: it is played too, on a market like this one, with it and without.
    await expect(page.getByRole('switch', { name: 'on', exact: true })).toBeDisabled();
    const played = page.getByRole('region', { name: 'Played' });
    for (const [label, count] of [
      ['Weeks', '2'],
      ['Markets', '1'],
    ]) {
      await played.getByLabel(label).fill(count);
      await played.getByLabel(label).press('Enter');
    }
    await played.getByRole('button', { name: 'Play it' }).click();
    const sums = played.getByRole('table', { name: 'Played, all weeks' });
    await expect(sums.getByRole('row', { name: /^without/ })).toBeVisible({ timeout: 120_000 });
    await expect(played.getByRole('img', { name: /by week, with it and without/ })).toBeVisible();
    await press(page, 'o');
    await expect.poll(async () => (await rules()).rules[0].isOn).toBe(true);
  });

  await test.step('fourteen days pass: each of its nights is a bale of its own, within its rail', async () => {
    await passDays(page, account, 14);
    const own = await nights();
    expect(own.length).toBeGreaterThanOrEqual(7);
    expect(new Set(own.map(({ day }) => day)).size).toBe(own.length);
    for (const { made, accepted, refused, staged, state } of own)
      expect({ made, staged, refused, state }).toEqual({
        made: accepted,
        staged: 0,
        refused: 0,
        state: 'done',
      });
    expect(Math.max(...own.map(({ made }) => made))).toBeLessThanOrEqual(2);
    expect(own.reduce((sum, { made }) => sum + made, 0)).toBeGreaterThan(2);
  });

  await test.step('somebody raises every bid by half, and a rail that is set tighter trips: the rule stops itself, and every page says so', async () => {
    const { targets } = await treeOf(request, account);
    const changes = targets.flatMap(({ id, bid, state }) =>
      bid === null || state !== 'enabled'
        ? []
        : [
            {
              change: { kind: 'set-bid', targetId: id, from: bid, to: Math.round(bid / 20_000) * 30_000 },
              reason: 'raised by half',
              figures: {},
              effect: { spend: 0, sales: 0 },
            },
          ],
    );
    expect((await request.post('/api/changes', { data: { account, changes } })).ok()).toBe(true);
    await page.goto(`/round?account=${account}`);
    await expect(page.getByRole('button', { name: `Tray · ${changes.length}`, exact: true })).toBeVisible();
    await sendTray(page);
    await page.goto(`/standing?account=${account}`);
    await page.getByRole('button', { name: 'Guard rails …' }).click();
    const dialog = page.getByRole('dialog');
    for (const label of [/a week’s spend is above/, /a week’s ACOS is above/]) {
      await dialog.getByLabel(label).fill('1');
      await dialog.getByLabel(label).press('Tab');
    }
    await dialog.getByRole('button', { name: 'Set them' }).click();
    await expect.poll(async () => (await rules()).guards.acosBound).toBe(0.01);
    for (let week = 0; week < 4 && (await rules()).rules[0].isOn; week += 1) await passDays(page, account, 7);
    const [rule] = (await rules()).rules;
    expect(rule).toMatchObject({
      isOn: false,
      stoppedWhy: expect.stringMatching(/more than the 1 % that is allowed|raised the ACOS/),
    });
    await page.goto(`/round?account=${account}`);
    await expect(page.getByText(/“Bids” stopped by itself/)).toBeVisible();
  });

  await test.step('a night is taken back as a whole, through the tray', async () => {
    await page.goto(`/standing?account=${account}&part=nights`);
    const table = page.getByRole('table', { name: 'Nights' });
    await table.getByRole('button', { name: 'Undo the night' }).first().click();
    await expect(page.getByText(/put to the tray the other way round/)).toBeVisible();
    const staged = await stagedIn(request, account);
    expect(staged.length).toBeGreaterThan(0);
    expect(staged.every(({ undoesId }) => undoesId !== null)).toBe(true);
    await emptyTray(request, account);
  });
  expect(faults).toEqual([]);
});

test('a rule works in a swath, on a copy of it; one for placements asks what it is told to, and an edit is undone', async ({
  page,
  request,
}) => {
  test.setTimeout(180_000);
  const faults = watch(page);
  const account = await demoAccount(request, 'Hollin Kites');
  const kept = await request.put('/api/swaths', {
    data: {
      account,
      name: 'Often clicked',
      lens: 'targets',
      conditions: ['clicks>=15'],
      sort: '',
      from: null,
      to: null,
    },
  });
  expect(kept.ok()).toBe(true);
  const newest = async () =>
    ((await (await request.get(`/api/rules?account=${account}`)).json()) as RulesAnswer).rules.at(-1)?.rule;
  const list = page.getByRole('navigation', { name: 'Rules' });
  const settings = page.getByRole('group', { name: 'Settings of the rule' });
  await page.goto(`/standing?account=${account}`);
  await pick(list, 'New rule', /^Bids:/);
  await expect.poll(async () => (await newest())?.work).toBe('bids');
  await settings.getByRole('combobox', { name: 'Works in' }).click();
  await settings.getByRole('combobox', { name: 'Works in' }).fill('often');
  await page.getByRole('option', { name: 'swath: Often clicked' }).click();
  await expect(settings.getByText(/targets with Clicks ≥ 15\. A copy/)).toBeVisible();
  await expect.poll(async () => (await newest())?.swath?.conditions).toEqual(['clicks>=15']);
  await expect(page.getByText('in the swath “Often clicked”, every night; asks.')).toBeVisible();
  await pick(list, 'New rule', /^Placements:/);
  await expect.poll(async () => (await newest())?.work).toBe('placements');
  await settings.getByLabel('CTR, %').fill('50');
  await settings.getByLabel('CTR, %').press('Enter');
  await expect.poll(async () => (await newest())?.placements?.least.ctr).toBe(0.5);
  await settings.getByLabel('CTR, %').blur();
  await press(page, 'u');
  await expect.poll(async () => (await newest())?.placements).toBeNull();
  expect(faults).toEqual([]);
});
