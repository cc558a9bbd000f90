import { chromium } from '@playwright/test';
import type { Page } from '@playwright/test';
import { db } from '../../src/server/context/context';
import { CHROMIUM_FLAGS } from '../chromiumFlags.mjs';
import { aLargeAccount } from '../make/largeAccount';
import { repaint } from './bare';
import { median, say } from './timed';
import { factsChanged } from '../make/facts';

/** As many targets as an account of this size has, most of them with a proposal. */
const TARGETS = 1_216;
const BARS = { step: 300, proposals: 300, accept: 500 };
const WINDOW = 'from=2026-10-24&to=2026-11-22';

/**
 * A round over 1,216 targets in Chromium: from step to step, from another pace or target to what is proposed then, and from accepting a whole
 * step of some 800 to the tray that holds it; each beside what the machine takes to paint as many cells.
 */
export async function benchRound(url: string): Promise<void> {
  const account = await aLargeAccount({ targets: TARGETS, days: 90 });
  // All sell a little, most of it too dearly: some 800 have something to be lowered.
  await db()`
    update mowing.target_day set orders = 1, units = 1, sales_micros = 24000000
    where account_id = ${account} and hashint4(target_id * 1000 + (day - date '2026-01-01')) % (10 + target_id % 30) = 0`;
  await factsChanged(account);
  await db()`insert into mowing.coverage values (${account}, 'targets', '2026-08-25', '2026-11-22') on conflict do nothing`;
  const browser = await chromium.launch({
    executablePath: process.env.MOWING_CHROMIUM ?? '/usr/bin/chromium',
    args: CHROMIUM_FLAGS,
  });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.addInitScript(() => localStorage.setItem('mowing-tour-at', '-1'));
    await page.goto(`${url}/round?account=${account}&step=over&${WINDOW}`);
    await page.locator('.table-row').first().waitFor({ timeout: 60_000 });
    await page.waitForTimeout(1500);
    const floor: number[] = [];
    for (let round = 0; round < 5; round += 1) floor.push(await repaint(page));
    const bare = median(floor);
    const tell = (name: string, times: number[], bar: number) =>
      say(
        `${name.padEnd(22)}median ${Math.round(median(times))} ms, ${(median(times) / bare).toFixed(1)} × the cells bare   (bar: ${bar} ms)`,
      );
    tell('step to rows', await each(page, ['2', '3', '4', '3', '2', '3'], changedRows), BARS.step);
    const paces: number[] = [];
    for (const pace of ['careful', 'steady', 'brisk', 'careful', 'steady'])
      paces.push(await choosePace(page, pace));
    tell('pace to proposals', paces, BARS.proposals);
    tell('target to proposals', await each(page, ['>', '>', '<', '<', '>'], changedTrial), BARS.proposals);
    await page.keyboard.press('Escape');
    const { usable, held, count } = await acceptAll(page);
    tell(`accepting ${count}`, [usable], BARS.accept);
    say(`  and in the tray     ${Math.round(held)} ms, ${(held / bare).toFixed(1)} × the cells bare`);
  } finally {
    await browser.close();
    await db()`select mowing.delete_account(${account})`;
  }
}

/** What is watched until it is another one. */
const changedRows = '.table-row';
const changedTrial = '[aria-label="Tried target"]';

async function each(page: Page, keys: string[], watched: string): Promise<number[]> {
  const times: number[] = [];
  for (const key of keys) {
    times.push(await untilChanged(page, { key }, watched));
    await page.waitForTimeout(600);
  }
  // The first of each loads what it needs.
  return times.slice(1);
}

async function choosePace(page: Page, pace: string): Promise<number> {
  await page.getByRole('combobox', { name: /Pace/ }).click();
  await page.getByRole('option', { name: new RegExp(`^${pace}`) }).waitFor();
  const took = await untilChanged(page, { option: pace }, changedRows);
  await page.waitForTimeout(900);
  return took;
}

/** From a key, or an option that is clicked, to the frame in which what is watched has other words. */
function untilChanged(page: Page, act: { key?: string; option?: string }, watched: string): Promise<number> {
  return page.evaluate(
    async ([{ key, option }, selector]) => {
      const frame = () => new Promise(requestAnimationFrame);
      const words = () =>
        [...document.querySelectorAll(selector)]
          .slice(0, 15)
          .map((one) => one.textContent)
          .join('|');
      const was = words();
      await frame();
      const start = performance.now();
      if (key !== undefined)
        document.body.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
      else
        [...document.querySelectorAll<HTMLElement>('[role=option]')]
          .find((one) => one.textContent.startsWith(option!))!
          .click();
      while ((words() === was || words() === '') && performance.now() - start < 20_000) await frame();
      await frame();
      return performance.now() - start;
    },
    [act, watched] as const,
  );
}

/** From saying yes to the frame in which the step goes on without what was accepted, and to the one in which the tray holds all of it. */
async function acceptAll(page: Page): Promise<{ usable: number; held: number; count: number }> {
  await page.getByRole('button', { name: /^Accept all/ }).click();
  await page.getByRole('dialog').waitFor();
  await page.waitForTimeout(500);
  return page.evaluate(async () => {
    const frame = () => new Promise(requestAnimationFrame);
    const inTray = () => Number(/Tray · ([\d,]+)/.exec(document.body.innerText)?.[1].replace(',', '') ?? 0);
    const isLeft = () =>
      document.querySelector('[role=dialog]') !== null ||
      [...document.querySelectorAll('button')].some((one) => /^Accept all \d/.test(one.textContent));
    const start = performance.now();
    const until = async (isDone: () => boolean) => {
      while (!isDone() && performance.now() - start < 30_000) await frame();
      await frame();
      return performance.now() - start;
    };
    document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
    const usable = await until(() => !isLeft());
    const held = await until(() => inTray() > 0);
    return { usable, held, count: inTray() };
  });
}
