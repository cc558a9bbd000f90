import { expect, test } from '@playwright/test';
import type { AdsAnswer } from '../../src/contract/ads';
import { aPng } from '../make/png';
import { demoAccount, emptyTray, freshStage, passDays, press, sendTray, stagedIn, watch } from './page';

// A market that lets ads show titles and pictures of their own, and has one price for every click.

test.beforeAll(freshStage);

test('an ad gets a title and two pictures, one of another size refused; every combination is seen; sent; a removed picture comes back', async ({
  page,
  request,
}) => {
  const faults = watch(page);
  const account = await demoAccount(request, 'Fernhollow Paper');
  await emptyTray(request, account);
  const shown = async () =>
    ((await (await request.get(`/api/ads?account=${account}`)).json()) as AdsAnswer).ads[0];
  const picture = (name: string, width: number, shade: number) =>
    page
      .getByLabel('File of a picture')
      .setInputFiles({ name, mimeType: 'image/png', buffer: aPng(width, 400, shade) });
  const combinations = page.getByRole('region', { name: 'Combinations' });
  const pictures = page.getByRole('region', { name: 'Pictures' });

  await page.goto(`/build?account=${account}`);
  await page.getByRole('tab', { name: 'Ads' }).click();
  await expect(combinations).toContainText('the product’s own picture');
  await press(page, 'n');
  await page.getByRole('textbox', { name: 'Title 1' }).fill('Envelopes for letters that matter!');
  await expect(page.getByText('the market refuses the character “!”')).toBeVisible();
  await page.getByRole('textbox', { name: 'Title 1' }).fill('Envelopes for letters that matter');

  await picture('wide.png', 640, 10);
  await expect(
    page.getByText(/“wide.png”: It is 640 × 400 pixels; the market takes exactly 600 × 400/),
  ).toBeVisible();
  await picture('desk.png', 600, 60);
  await expect(pictures.getByRole('img', { name: 'desk.png' })).toBeVisible();
  await picture('shelf.png', 600, 200);
  await expect(combinations.getByRole('figure')).toHaveCount(2);
  await page.reload();
  await expect(combinations.getByRole('figure')).toHaveCount(2); // kept though it is in no tray
  await press(page, 'Control+Enter');
  await expect.poll(async () => (await stagedIn(request, account)).length).toBe(1);

  await sendTray(page);
  await passDays(page, account, 1);
  await expect.poll(async () => (await shown()).pictures.length).toBe(2);

  await page.goto(`/build?account=${account}&part=ads`);
  await pictures.getByRole('button', { name: 'Remove desk.png' }).click();
  await expect(combinations.getByRole('figure')).toHaveCount(1);
  await page.getByRole('button', { name: 'Restore “desk.png”' }).click();
  await expect(pictures.getByRole('img', { name: 'desk.png' })).toBeVisible();
  expect((await shown()).pictures.length).toBe(2); // what runs changes through the tray alone
  expect(faults).toEqual([expect.stringContaining('422')]); // the picture of another size
});

test('where clicks have one price no bid is offered: what is unlikely to earn it is paused', async ({
  page,
  request,
}) => {
  const account = await demoAccount(request, 'Fernhollow Paper');
  await emptyTray(request, account);
  await page.goto(`/round?account=${account}&step=over`);
  await expect(page.getByText('Every click on this market costs 0.34 CHF')).toBeVisible();
  await expect(page.getByText('→ pause').first()).toBeVisible();
  await expect(page.getByRole('slider', { name: 'Bid' })).toHaveCount(0);
  await press(page, 'j', 'Space');
  await expect
    .poll(async () => (await stagedIn(request, account)).map(({ change }) => change))
    .toMatchObject([{ kind: 'set-state', entity: 'target', to: 'paused' }]);
});
