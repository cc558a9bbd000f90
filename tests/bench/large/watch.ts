import { readdirSync, readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';

/** What the page itself notes while it works: the longest time that its own thread was held up. */
export async function watchThread(page: Page): Promise<void> {
  await page.addInitScript(() => {
    const noted = { longest: 0, at: '' };
    Object.assign(globalThis, { noted });
    new PerformanceObserver((list) => {
      for (const one of list.getEntries())
        if (one.duration > noted.longest) Object.assign(noted, { longest: one.duration, at: location.href });
    }).observe({ type: 'longtask', buffered: true });
  });
}

/** The longest that the page's own thread was held up since it was asked last, ms. */
export const heldUp = (page: Page): Promise<number> =>
  page.evaluate(() => {
    const { noted } = globalThis as unknown as { noted: { longest: number } };
    const { longest } = noted;
    noted.longest = 0;
    return longest;
  });

/** Waits until what a place shows stands and nothing in it is waited for. @returns ms since the page began, as the page counts */
export async function painted(page: Page, sign: string, timeoutMs: number): Promise<number> {
  const handle = await page.waitForFunction(
    (selector) => {
      const isSeen = (element: Element) => element.getClientRects().length > 0;
      const waits = [...document.querySelectorAll('main [role="status"].state, main [role="progressbar"]')];
      const stands = [...document.querySelectorAll(selector)].some(isSeen);
      return stands && !waits.some(isSeen) ? performance.now() : false;
    },
    sign,
    { polling: 'raf', timeout: timeoutMs },
  );
  return Number(await handle.jsonValue());
}

/** Memory of the browser's largest page with its workers, bytes: they are one process. */
export function pageMemory(): number {
  const sizes = readdirSync('/proc').flatMap((pid) => {
    if (!/^\d+$/.test(pid)) return [];
    try {
      if (!readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('--type=renderer')) return [];
      return [Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) * 1024];
    } catch {
      return []; // it ended meanwhile
    }
  });
  return sizes.reduce((most, one) => Math.max(most, one), 0);
}
