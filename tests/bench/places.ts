import type { Page } from '@playwright/test';
import { repaint } from './bare';
import { median, say } from './timed';

const ROUNDS = 5;
const BAR_MS = 300;

/** A key, and how one knows that what it goes to is painted: the title of the page, or the step that is current. */
type Way = [key: string, sign: string];

const PLACES: Way[] = [
  ['f', 'Field'],
  ['r', 'Round'],
  ['w', 'Words'],
  ['r', 'Round'],
  ['l', 'Ledger'],
  ['r', 'Round'],
];
const STEPS: Way[] = [
  ['2', 'Dead spend'],
  ['3', 'Overpaying'],
  ['4', 'Room to grow'],
  ['5', 'Harvest'],
  ['2', 'Dead spend'],
];

/**
 * From place to place and from step to step over 100,000 targets, with what was loaded in the page already: from the key to the frame in
 * which the other one is painted, beside what the machine takes to paint as many cells.
 */
export async function benchPlaces(page: Page, url: string, account: number): Promise<void> {
  await page.goto(`${url}/round?account=${account}&step=dead&show=all&from=2026-10-24&to=2026-11-22`);
  await page.locator('.table-row').first().waitFor({ timeout: 240_000 });
  const floor = await repaint(page);
  const places: number[] = [];
  const steps: number[] = [];
  for (let round = 0; round <= ROUNDS; round += 1) {
    const at = await each(page, PLACES, true);
    const on = await each(page, STEPS, false);
    // The first round loads each place.
    if (round === 0) continue;
    places.push(...at);
    steps.push(...on);
  }
  for (const [name, times] of [
    ['place to place       ', places],
    ['step to step         ', steps],
  ] as const)
    say(
      `${name} median ${Math.round(median(times))} ms, longest ${Math.round(largest(times))} ms, ${(median(times) / floor).toFixed(1)} × the cells bare   (bar: ${BAR_MS} ms)`,
    );
}

const largest = (times: readonly number[]) => times.reduce((most, one) => Math.max(most, one), 0);

async function each(page: Page, ways: readonly Way[], isPlace: boolean): Promise<number[]> {
  const times: number[] = [];
  for (const way of ways) times.push(await go(page, way, isPlace));
  return times;
}

function go(page: Page, [key, sign]: Way, isPlace: boolean): Promise<number> {
  return page.evaluate(
    async ([pressed, wanted, goes]) => {
      const frame = () => new Promise(requestAnimationFrame);
      const isSeen = (element: Element) => element.getClientRects().length > 0;
      const press = (name: string) =>
        document.body.dispatchEvent(new KeyboardEvent('keydown', { key: name, bubbles: true }));
      const isThere = () =>
        goes
          ? document.title.startsWith(wanted)
          : [...document.querySelectorAll('[aria-current="step"]')].some((one) =>
              one.textContent.includes(wanted),
            );
      const isPainted = () =>
        isThere() &&
        ![...document.querySelectorAll('main [role="status"].state')].some(isSeen) &&
        [...document.querySelectorAll('main')].some(isSeen);
      await frame();
      const start = performance.now();
      if (goes) press('g');
      press(pressed);
      while (!isPainted() && performance.now() - start < 60_000) await frame();
      await frame();
      const took = performance.now() - start;
      await new Promise((resolve) => setTimeout(resolve, 400));
      return took;
    },
    [key, sign, isPlace] as const,
  );
}
