import { expect, test } from '@playwright/test';
import type { GrowthAnswer, GrowthInfo } from '../../src/contract/growth';
import { demoAccount, emptyTray, freshStage, pick, press, stagedIn, watch } from './page';

// A product is grown within a budget: campaigns are taken in and given back, and the plan's moves wait in the tray.

test.beforeAll(freshStage);

test('a growth plan is begun, takes campaigns in, is looked ahead with, asks by night, and gives them back', async ({
  page,
  request,
}) => {
  test.setTimeout(240_000);
  const faults = watch(page);
  const account = await demoAccount(request, 'Hollin Kites');
  await emptyTray(request, account);
  const plans = async () =>
    ((await (await request.get(`/api/growth?account=${account}`)).json()) as GrowthAnswer).plans;
  const whole = async (id: number) =>
    (await (await request.get(`/api/growth?account=${account}&id=${id}`)).json()) as GrowthInfo;
  let id = 0;

  await test.step('begun for a product, with what is usual for it, and nothing is done yet', async () => {
    await page.goto(`/standing?account=${account}&part=growth`);
    await expect(page.getByText('No growth plan yet.')).toBeVisible();
    await page.getByLabel('New plan for').click();
    await page.getByRole('option').first().click();
    await expect(page.getByText(/a day over three stages, every night; asks/)).toBeVisible();
    await expect.poll(async () => (await plans()).length).toBe(1);
    [
      {
        info: { id },
      },
    ] = await plans();
    await expect(
      page
        .getByRole('region', { name: 'Tonight' })
        .getByText(/Make the campaign/)
        .first(),
    ).toBeVisible();
    expect(await stagedIn(request, account)).toEqual([]);
  });

  await test.step('campaigns of the product are taken in, in the stage that they fit, and the total is set', async () => {
    await page.getByRole('button', { name: 'Take campaigns in …' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Take them in' }).click();
    const table = page.getByRole('table', { name: 'Campaigns of the plan' });
    await expect(table.getByText('taken in').first()).toBeVisible();
    const { members } = await whole(id);
    expect(new Set(members.map(({ stage }) => stage))).toEqual(new Set(['find', 'tune']));
    const settings = page.getByRole('group', { name: 'Settings of the plan' });
    await settings.getByLabel(/Total a day/).fill('60');
    await settings.getByLabel(/Total a day/).press('Enter');
    await expect.poll(async () => (await whole(id)).info.rule.growth!.total).toBe(60_000_000);
    await expect(page.getByText(/of 60.00 .* a day is given out/)).toBeVisible();
  });

  await test.step('tried, it tells what it would do tonight; on, its moves wait in the tray, each with its reason', async () => {
    // Keys that are pressed in a field are its own.
    await page.getByRole('heading', { name: 'Stages' }).click();
    await press(page, 'y');
    await expect(page.getByRole('table', { name: 'Nights tried' })).toBeVisible({ timeout: 60_000 });
    await press(page, 'o');
    await expect.poll(async () => (await whole(id)).info.isOn).toBe(true);
    await press(page, '4');
    await page.getByRole('button', { name: 'Run now' }).click();
    await expect(page.getByRole('table', { name: 'Nights' })).toBeVisible({ timeout: 60_000 });
    const staged = await stagedIn(request, account);
    expect(staged.length).toBeGreaterThan(3);
    expect(staged.every(({ reason, figures }) => reason !== '' && figures.rule === id)).toBe(true);
  });

  await test.step('a campaign is given back, and taken in again by undo', async () => {
    await press(page, '2');
    const { members } = await whole(id);
    const { name } = members[0];
    await pick(
      page.getByRole('table', { name: 'Campaigns of the plan' }),
      `Stage of ${name}`,
      'give it back',
    );
    await expect.poll(async () => (await whole(id)).members.length).toBe(members.length - 1);
    await press(page, 'u');
    await expect.poll(async () => (await whole(id)).members.length).toBe(members.length);
  });

  await test.step('the tests of the account have an allowance of their own for a part of it', async () => {
    await press(page, '3');
    await expect(page.getByText('No test yet.')).toBeVisible();
    const table = page.getByRole('table', { name: 'Allowances' });
    await table.getByLabel('Works in').click();
    await page
      .getByRole('option', { name: /^campaign: / })
      .first()
      .click();
    await table.getByRole('button', { name: 'Give it an allowance of its own' }).click();
    await expect(table.getByRole('button', { name: 'Remove' })).toBeVisible();
    await expect
      .poll(async () => {
        const { allowances } = (await (await request.get(`/api/tests?account=${account}`)).json()) as {
          allowances: { cap: number | null }[];
        };
        return allowances.map(({ cap }) => cap);
      })
      .toEqual([null, 20_000_000]);
  });
  await emptyTray(request, account);
  expect(faults).toEqual([]);
});
