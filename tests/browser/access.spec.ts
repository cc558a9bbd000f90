import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { demoAccount, freshStage } from './page';

test.beforeAll(freshStage);

// What a checker of accessibility finds on each place, in both themes: nothing that shuts somebody out.

const PAGES: [name: string, path: string, sign: string][] = [
  ['overview', '/round?', 'How targets stand'],
  ['harvest', '/round?step=harvest', 'Accept'],
  ['overpaying', '/round?step=over', 'Accept'],
  ['keywords', '/field?lens=keywords', 'Change by hand'],
  ['cross-tab', '/field?lens=auto&shape=cross', 'of auto targets'],
  ['routes', '/routes?', 'Approve'],
  ['word parts', '/words?', 'word parts;'],
  ['core lists', '/words?part=core', 'core terms;'],
  ['rank', '/words?part=rank', 'searches a week.'],
  ['accepted losses', '/words?part=losses', 'Nothing is lost on purpose.'],
  ['negative lists', '/words?part=lists', 'Make it'],
  ['hours', '/hours?', 'How clicks sell'],
  ['schedules', '/hours?part=schedules', 'A week of bids'],
  ['the step of hours', '/round?step=hours', 'Accept'],
  ['trials by weeks', '/hours?part=trials', 'No trial has been begun yet.'],
  ['structure', '/build?', 'findings of'],
  ['plans', '/build?part=plan', 'No plan is open.'],
  ['ledger', '/ledger?', 'Nothing has been sent yet.'],
  ['which changes worked', '/ledger?view=worked', 'Which changes worked'],
  ['reports', '/ledger?view=reports', 'Make the report'],
  ['setup', '/setup?', 'Market, imports, exports'],
  ['products and costs', '/setup?part=products', 'For each unit'],
  ['targets', '/setup?part=goals', 'Set a target'],
  ['brands and words', '/setup?part=words', 'Keep the lists'],
  ['how one reads', '/setup?part=reader', 'Kept in this browser'],
];

const ground = (page: Page) => page.evaluate(() => getComputedStyle(document.body).backgroundColor);

test('no place shuts anybody out, in daylight and at dusk', async ({ page, request }) => {
  test.setTimeout(480_000);
  const account = await demoAccount(request);
  const light = { colorScheme: 'light', reducedMotion: 'reduce' } as const;
  // Colours are measured at rest, not on their way from one to the next.
  await page.emulateMedia(light);
  await page.goto(`/ledger?account=${account}`);
  const day = await ground(page);
  for (const [name, path, sign] of PAGES)
    await test.step(name, async () => {
      // As a link leads there: the page stays, and the place comes.
      await page.evaluate((to) => history.pushState(null, '', to), `${path}&account=${account}`);
      await expect(
        page
          .getByText(sign)
          .or(page.getByRole('form', { name: sign }))
          .filter({ visible: true })
          .first(),
      ).toBeVisible();
      expect.soft(await grave(page), name).toEqual([]);
      await page.emulateMedia({ ...light, colorScheme: 'dark' });
      await expect.poll(() => ground(page)).not.toBe(day);
      // The theme changes colours and nothing else.
      expect.soft(await grave(page, ['color-contrast']), `${name} at dusk`).toEqual([]);
      await page.emulateMedia(light);
      await expect.poll(() => ground(page)).toBe(day);
    });
});

/** Moderate, serious and critical findings, each with a few of the elements it is about. */
async function grave(page: Page, rules?: string[]): Promise<string[]> {
  // Rows of a table are alike: a few stand for all.
  const alike = [
    '.table-row:nth-child(n+4)',
    '.sr tbody tr:nth-child(n+3)',
    '.facts tbody tr:nth-child(n+5)',
  ];
  const checker = alike
    .reduce((all, rows) => all.exclude(rows), new AxeBuilder({ page }))
    // There are no frames, and what passes is not told.
    .setLegacyMode(true)
    .options({
      resultTypes: ['violations'],
      ...(rules && { runOnly: { type: 'rule' as const, values: rules } }),
    });
  const { violations } = await checker.analyze();
  return violations
    .filter(({ impact }) => impact !== 'minor')
    .map(
      ({ id, nodes }) =>
        `${id}: ${nodes
          .slice(0, 3)
          .map(({ html }) => html.slice(0, 160))
          .join(' | ')}`,
    );
}

test('dusk is chosen once and stays', async ({ page }) => {
  await page.goto('/ledger');
  const day = await ground(page);
  await page.getByRole('button', { name: 'Change between daylight and dusk' }).click();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
  await page.goto('/setup');
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
  expect(await ground(page)).not.toBe(day);
});
