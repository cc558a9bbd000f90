import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import type { PlanAnswer } from '../../src/contract/plan';
import type { SchedulesAnswer } from '../../src/contract/schedules';
import type { TrialInfo } from '../../src/contract/trials';
import {
  demoAccount,
  emptyTray,
  evidence,
  freshStage,
  passDays,
  press,
  sendTray,
  stagedIn,
  watch,
} from './page';

test.beforeAll(freshStage);

let account: number;
test.beforeEach(async ({ request }) => {
  account = await demoAccount(request);
  await emptyTray(request, account);
});

const part = (page: Page, name: string) => page.getByRole('tab', { name });
const week = (page: Page) => page.getByRole('application', { name: /^Week/ });
const schedules = async (page: Page, of = account) =>
  (await (await page.request.get(`/api/schedules?account=${of}`)).json()) as SchedulesAnswer;
const trials = async (page: Page) =>
  (await (await page.request.get(`/api/trials?account=${account}`)).json()) as TrialInfo[];

test('a pattern becomes a schedule on trial, switches by itself over the weeks, and ends with a verdict', async ({
  page,
}) => {
  test.setTimeout(240_000);
  const faults = watch(page);

  await test.step('the picture says what bids by the hour would gain, and what makes a day weak', async () => {
    await page.goto(`/hours?account=${account}`);
    await expect(page.getByText(/Bids that follow these hours would sell about .* more/)).toBeVisible();
    await expect(page.getByRole('table', { name: 'Weekdays apart' }).getByRole('row')).toHaveCount(8);
    await page.getByRole('button', { name: 'Beside other weeks …' }).click();
    await expect(page).toHaveURL(/beside=/);
    await page.getByLabel('As the difference').check();
    await expect(page.getByText(/^Less that of/)).toBeVisible();
  });

  await test.step('the week that is proposed is kept by name, and given to those to try first', async () => {
    await part(page, 'Schedules').click();
    await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Evenings up');
    await page.getByRole('button', { name: 'Keep', exact: true }).click();
    await expect(page.getByRole('button', { name: 'Kept' })).toBeDisabled();
    await page.getByRole('button', { name: /Give it to campaigns/ }).click();
    const dialog = page.getByRole('dialog');
    const { rows } = await schedules(page);
    const first = rows.filter(({ isFirst }) => isFirst).length;
    await expect(dialog.getByRole('checkbox', { checked: true })).toHaveCount(first);
    await expect(dialog.getByText(/In these .* campaigns, a month/)).toBeVisible();
    await dialog.getByRole('button', { name: 'Try by weeks …' }).click();
  });

  await test.step('it is told what a trial takes before it is begun', async () => {
    const dialog = page.getByRole('dialog');
    await expect(dialog).toContainText(/±20 % takes [\d,]+ weeks; ±10 % takes/);
    await expect(dialog).toContainText(/before and after, four weeks each, only show effects above/);
    const weeks = dialog.getByRole('textbox', { name: 'Weeks', exact: true });
    await weeks.fill('4');
    await weeks.press('Tab');
    await dialog.getByRole('button', { name: 'Begin, and send' }).click();
    await expect(page.getByText(/^On now, until .* Too early/)).toBeVisible();
    await page.goto(`/hours?account=${account}&part=schedules`);
    await expect(page.getByRole('table', { name: 'Schedules that campaigns follow' })).toContainText(
      'Evenings up',
    );
  });

  await test.step('28 days on its weeks are over and it is off; three weeks later it is told', async () => {
    await passDays(page, account, 28);
    expect((await trials(page))[0]).toMatchObject({ isOn: false, nextSwitch: null });
    expect((await schedules(page)).running).toEqual([]);
    await passDays(page, account, 21);
    await page.goto(`/hours?account=${account}&part=trials`);
    const trial = page.getByRole('region', { name: 'Trial Evenings up' });
    await expect(trial).toContainText(/It sells (more|less)|No difference that these weeks could show/);
    await expect(trial).toContainText('orders of 4 of 4 weeks are in');
    await page.goto(`/ledger?account=${account}&view=worked`);
    await expect(page.getByRole('list', { name: 'Trials by weeks' })).toContainText('Evenings up');
  });
  expect(faults).toEqual([]);
});

test('a week is painted by keys alone, told what it costs, and goes to the tray', async ({ page }) => {
  const faults = watch(page);
  await page.goto(`/hours?account=${account}&part=schedules`);
  await page.getByRole('button', { name: 'Clear' }).click();
  await week(page).focus();
  // Saturday and Sunday, from midnight to six.
  for (let day = 0; day < 5; day += 1) await press(page, 'ArrowDown');
  await press(page, 'Shift+ArrowDown');
  for (let hour = 0; hour < 5; hour += 1) await press(page, 'Shift+ArrowRight');
  await press(page, 'o');
  await expect(page.getByText('Sat–Sun 0–6 h off')).toBeVisible();
  await expect(page.getByText(/Off for 12 hours a week: they spend/)).toBeVisible();
  await press(page, 'z');
  await press(page, '-', '-');
  await expect(page.getByText('Sat–Sun 0–6 h −10 %')).toBeVisible();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Nights of weekends');
  await page.reload();
  await expect(page.getByText('Sat–Sun 0–6 h −10 %')).toBeVisible();
  await page.getByRole('button', { name: /Give it to campaigns/ }).click();
  await page.getByRole('button', { name: /^Put \d+ to the tray/ }).click();
  const staged = await expect
    .poll(async () => (await stagedIn(page.request, account)).length)
    .toBeGreaterThan(0)
    .then(() => stagedIn(page.request, account));
  expect(staged.map(({ change }) => change.kind)).toEqual(staged.map(() => 'add-schedule'));
  await press(page, 'u');
  await expect.poll(async () => (await stagedIn(page.request, account)).length).toBe(0);
  expect(faults).toEqual([]);
});

test('hours are painted by dragging, and shift chooses alone', async ({ page }) => {
  await page.goto(`/hours?account=${account}&part=schedules`);
  await page.getByRole('button', { name: 'Clear' }).click();
  const cell = (at: number) => week(page).locator(`[data-cell="${at}"]`);
  const drag = async (from: number, to: number) => {
    await cell(from).hover();
    await page.mouse.down();
    await cell(to).hover();
    await page.mouse.up();
  };
  await drag(8, 24 + 11);
  await expect(page.getByText('Mon–Tue 8–12 h −10 %')).toBeVisible();
  await page.keyboard.down('Shift');
  await drag(6 * 24, 6 * 24 + 23);
  await page.keyboard.up('Shift');
  await expect(page.getByText('Mon–Tue 8–12 h −10 %')).toBeVisible();
});

test('the step of hours proposes what a script gets, and the market obeys what was accepted', async ({
  page,
  request,
}) => {
  const plan = (await (await request.get(`/api/plan?account=${account}&step=hours`)).json()) as PlanAnswer;
  await page.goto(`/round?account=${account}&step=hours`);
  const campaigns = page.getByRole('table', { name: 'Campaigns', exact: true });
  await expect(campaigns).toHaveAttribute('aria-rowcount', String(plan.summary.count));
  await expect(evidence(page)).toContainText(plan.proposals[0].reason);
  await press(page, 'Space');
  await expect.poll(async () => (await stagedIn(request, account)).length).toBe(1);
  await expect(campaigns).toHaveAttribute('aria-rowcount', String(plan.summary.count - 1));
  await sendTray(page);
  const { running } = await schedules(page);
  expect(running).toMatchObject([{ campaignId: plan.proposals[0].subject.id }]);
  await page.goto(`/round?account=${account}&step=budgets&show=all`);
  await expect(campaigns.getByRole('row').nth(1)).toBeVisible();
});

test('an account without a pattern is told so, and no schedule is proposed', async ({ page, request }) => {
  const flat = await demoAccount(request, 'Hollin Kites');
  await page.goto(`/hours?account=${flat}`);
  await expect(page.getByText(/^No pattern worth a schedule: at most/)).toBeVisible();
  await page.goto(`/round?account=${flat}&step=hours`);
  await expect(page.getByText('This account’s market has no schedules by hour.')).toBeVisible();
});
