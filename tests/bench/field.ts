import { chromium } from '@playwright/test';
import type { Page } from '@playwright/test';
import { CHROMIUM_FLAGS } from '../chromiumFlags.mjs';
import { repaint } from './bare';
import { benchPlaces } from './places';
import { median, say } from './timed';

const ROUNDS = 5;

/** What is asked of the page: a step of the work, as the change of address that it comes down to. */
const STEPS: [name: string, query: string][] = [
  ['condition', 'sort=-spend&where=clicks%3E%3D90'],
  ['condition dropped', 'sort=-spend'],
  ['sorted by clicks', 'sort=-clicks'],
  ['back to spend', 'sort=-spend'],
];

/**
 * The field over 100,000 targets in Chromium: from a condition to the painted table, and its frames while it scrolls,
 * beside what the machine's browser takes to paint a table of as many cells anew, and an empty frame.
 */
export async function benchField(url: string, account: number): Promise<void> {
  const browser = await chromium.launch({
    executablePath: process.env.MOWING_CHROMIUM ?? '/usr/bin/chromium',
    args: CHROMIUM_FLAGS,
  });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    const from = Date.now();
    await page.goto(`${url}/field?account=${account}&lens=keywords&from=2026-10-24&to=2026-11-22`);
    await page.locator('.table-row').first().waitFor({ timeout: 120_000 });
    say(`field, first rows     ${Date.now() - from} ms`);
    await page.waitForTimeout(2500);
    const floor: number[] = [];
    const steps: number[] = [];
    for (let round = 0; round < ROUNDS; round += 1) {
      floor.push(await repaint(page));
      for (const [, query] of STEPS) steps.push(await step(page, account, query));
    }
    const [work, bare] = [median(steps), median(floor)];
    say(`to the painted table  ${Math.round(work)} ms   (bar: 100 ms on a machine that paints by itself)`);
    say(`the same cells, bare  ${Math.round(bare)} ms`);
    say(`field / bare cells    ${(work / bare).toFixed(1)}`);
    const [idle, scrolling] = [await frames(page, 0), await frames(page, 300)];
    say(`frames while idle     ${describe(idle)}`);
    say(`frames while scrolling ${describe(scrolling)}   (bar: none over 50 ms)`);
    await benchPlaces(page, url, account);
  } finally {
    await browser.close();
  }
}

const describe = (list: number[]) => {
  const at = (share: number) => Math.round(list[Math.floor(share * (list.length - 1))]);
  return `median ${at(0.5)} ms, 95 % ${at(0.95)} ms, longest ${at(1)} ms`;
};

/** From a change of the address to the frame in which other rows are painted. */
function step(page: Page, account: number, query: string): Promise<number> {
  return page.evaluate(
    async ([id, next]) => {
      const shown = () =>
        `${document.querySelector('[role=table]')?.getAttribute('aria-rowcount')} ${document.querySelector('[aria-sort]')?.textContent}`;
      const before = shown();
      const frame = () => new Promise(requestAnimationFrame);
      const start = performance.now();
      history.replaceState(
        null,
        '',
        `/field?account=${id}&lens=keywords&from=2026-10-24&to=2026-11-22&${next}`,
      );
      dispatchEvent(new PopStateEvent('popstate'));
      while (shown() === before && performance.now() - start < 5000) await frame();
      await frame();
      const took = performance.now() - start;
      await new Promise((resolve) => setTimeout(resolve, 500));
      return took;
    },
    [account, query] as const,
  );
}

/** Lengths of the frames of three seconds, sorted, while the table moves so many pixels a frame. */
function frames(page: Page, pixels: number): Promise<number[]> {
  return page.evaluate(async (by) => {
    const table = document.querySelector('.table')!;
    const lengths: number[] = [];
    const end = performance.now() + 3000;
    for (let last = performance.now(); last < end;) {
      table.scrollTop += by;
      await new Promise(requestAnimationFrame);
      const now = performance.now();
      lengths.push(now - last);
      last = now;
    }
    return lengths.sort((a, b) => a - b);
  }, pixels);
}
