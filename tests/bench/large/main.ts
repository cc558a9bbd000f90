// npm run bench -- --large: every place and step of the large account in the browser, cold and entered again.
import { chromium } from '@playwright/test';
import type { Browser, Page } from '@playwright/test';
import { watchTaken } from '../../../bin/parts/taken.mjs';
import { CHROMIUM_FLAGS } from '../../chromiumFlags.mjs';
import type { AccountInfo } from '../../../src/contract/api';
import { USUAL_RANK_SPAN } from '../../../src/contract/rank';
import { readFieldSums } from '../../../src/db/queries/fieldSums';
import { closeContext, db } from '../../../src/server/context/context';
import { api } from '../../../src/views/shared/api';
import { median, say, timed } from '../timed';
import { askAt } from './bare';
import { benchActs } from './acts';
import { VISITS } from './visits';
import type { Visit } from './visits';
import { heldUp, pageMemory, painted, watchThread } from './watch';

const URL_OF_APP = process.env.MOWING_URL!;
const ONLY = process.env.MOWING_BENCH_ONLY ?? '';
const PATIENCE_MS = 180_000;

/** What a place needs in any case is read and computed so often; the middle counts. */
const BARE_ROUNDS = 3;

interface Seen {
  cold: number;
  warm: number;
  held: number;
  memory: number;
}

const faults: string[] = [];

async function newPage(browser: Browser): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  page.on('pageerror', (error) => faults.push(`${page.url()}: ${error.message}`));
  page.on('console', (line) => line.type() === 'error' && faults.push(`${page.url()}: ${line.text()}`));
  await page.addInitScript(() => localStorage.setItem('mowing-tour-at', '-1'));
  await watchThread(page);
  return page;
}

/** A place from a page without anything, and once more after another place was looked at. */
async function look(browser: Browser, account: number, { at, sign }: Visit): Promise<Seen> {
  const page = await newPage(browser);
  try {
    await page.goto(`${URL_OF_APP}${at}${at.includes('?') ? '&' : '?'}account=${account}`);
    const cold = await painted(page, sign, PATIENCE_MS);
    await page.waitForTimeout(1500);
    await page.keyboard.press('g');
    await page.keyboard.press(at.startsWith('/ledger') ? 's' : 'l');
    await page.waitForFunction((from) => !location.pathname.startsWith(from), at.split('?')[0]);
    await page.waitForTimeout(700);
    const left = await page.evaluate(() => {
      history.back();
      return performance.now();
    });
    await page.waitForFunction((to) => location.pathname.startsWith(to), at.split('?')[0]);
    const warm = (await painted(page, sign, PATIENCE_MS)) - left;
    return { cold, warm, held: await heldUp(page), memory: pageMemory() };
  } finally {
    await page.context().close();
  }
}

/** How many times as long a place takes as what it needs in any case. */
async function beside(cold: number, { bare }: Visit, account: AccountInfo): Promise<string> {
  if (!bare) return '';
  const times: number[] = [];
  for (let round = 0; round < BARE_ROUNDS; round += 1) times.push((await timed(() => bare(account))).seconds);
  return `${(cold / 1000 / median(times)).toFixed(1).padStart(8)} (${median(times).toFixed(2)} s)`;
}

/** What a server reads ahead after a night is there when somebody comes: the pages are cold, the server is not. */
async function readAlready(account: number) {
  await api.overviewParts(account, {});
  await api.bidsLeft(account);
  await api.review(account);
  await api.standingNegatives(account);
  await api.schedules(account);
  // The last that is read ahead: no place is measured beside it.
  await api.rank(account, USUAL_RANK_SPAN);
}

/** The sums of each grain as the database alone works them out: nothing kept, nothing packed. */
async function sayBareSql(account: number) {
  for (const grain of ['target', 'placement', 'term'] as const) {
    const { window, before } = await api.fieldSums(account, grain, {});
    const { seconds } = await timed(() => readFieldSums(db(), account, grain, window, before));
    const asked = await timed(() => api.fieldSums(account, grain, {}));
    say(
      `sums by ${grain.padEnd(12)}    SQL ${seconds.toFixed(2)} s, asked again ${asked.seconds.toFixed(2)} s, ${(asked.seconds / seconds).toFixed(2)} × the SQL`,
    );
  }
}

const browser = await chromium.launch({
  executablePath: process.env.MOWING_CHROMIUM ?? '/usr/bin/chromium',
  args: CHROMIUM_FLAGS,
});
try {
  const accounts = (await (await fetch(`${URL_OF_APP}/api/accounts`)).json()) as AccountInfo[];
  const [known] = accounts;
  const account = known.id;
  askAt(URL_OF_APP);
  say(
    `${known.name}, times in seconds, bars in brackets; × bare: cold, beside the data read and computed without a page`,
  );
  await sayBareSql(account);
  await readAlready(account);
  say('place                     cold            again           page held up   memory    × bare');
  const pad = (value: number, bar: number) =>
    `${value.toFixed(2).padStart(6)} (${bar.toFixed(1)})`.padEnd(16);
  for (const visit of VISITS.filter(({ name }) => name.includes(ONLY))) {
    try {
      const taken = watchTaken();
      const seen = await look(browser, account, visit);
      const others = taken();
      say(
        `${visit.name.padEnd(24)}${pad(seen.cold / 1000, visit.bar.cold)}${pad(seen.warm / 1000, visit.bar.warm)}${String(Math.round(seen.held)).padStart(6)} ms ${String(Math.round(seen.memory / 1e6)).padStart(8)} MB ${await beside(seen.cold, visit, known)}   ${others}`,
      );
    } catch (error) {
      faults.push(`${visit.name}: ${(error as Error).message.split('\n')[0]}`);
      say(`${visit.name.padEnd(24)}did not come up`);
    }
  }
  const page = await newPage(browser);
  if (ONLY === '' || ONLY === 'acts') await benchActs(page, URL_OF_APP, account);
  say(`page errors               ${faults.length}   (bar: 0)`);
  for (const fault of faults) say(`  ${fault}`);
} finally {
  await browser.close();
  await closeContext();
}
process.exitCode = faults.length > 0 ? 1 : 0;
