// npm run bench -- --scale: several large accounts on one database. What a night and a page cost each, and what 1,000 of them would.
import { cpus, totalmem } from 'node:os';
import { Readable } from 'node:stream';
import { pack } from '../../src/contract/packed';
import { findAccount } from '../../src/db/queries/accounts';
import { closeContext, db } from '../../src/server/context/context';
import { loadBidFeed } from '../../src/server/bids/loadBidFeed';
import { loadFieldSums } from '../../src/server/field/loadFieldSums';
import { loadOverview } from '../../src/server/field/loadOverview';
import { loadTreeColumns } from '../../src/server/field/loadTree';
import { takeInReport } from '../../src/server/imports/takeInReport';
import { loadReviewColumns } from '../../src/server/review/loadReview';
import { THIS_MACHINE } from '../../src/server/trail';
import { aLargeAccount, LAST } from '../make/largeAccount';
import { median, say, timed } from './timed';

process.env.MOWING_LOG ??= 'silent';

const TARGETS = Number(process.env.MOWING_SCALE_TARGETS ?? 100_000);
const TERMS_A_TARGET = 5;
/** Accounts that are measured; what 1,000 cost is worked out of how the cost of one grows among these. */
const COUNTS = [1, 2, 4];
const TOLD = [1, 10, 100, 1000];
/** Figures of a day are there at midnight, people come at six. */
const NIGHT_HOURS = 6;
/** Accounts whose night a program works at side by side. */
const LANES = 2;
const ROUNDS = 3;

interface Cost {
  accounts: number;
  nightS: number;
  pageS: number;
  gigabytes: number;
  memoryBytes: number;
}

let dayOfFigures = 0;

/** The search terms of the last day as a report, each with more impressions than before: every row is another one. */
async function lastDay(account: number): Promise<Buffer> {
  dayOfFigures += 1;
  const [{ lines }] = await db()<{ lines: string }[]>`
    select string_agg(concat_ws(',', f.day, c.name, g.name, t.expression, t.match, s.text, f.impressions + ${dayOfFigures}::integer,
      f.clicks, (f.spend_micros / 1000000.0)::numeric(12, 2), f.orders, (f.sales_micros / 1000000.0)::numeric(12, 2)), E'\n') as lines
    from mowing.term_day f join mowing.target t using (account_id, target_id) join mowing.ad_group g using (account_id, ad_group_id)
      join mowing.campaign c using (account_id, campaign_id) join mowing.term s using (account_id, term_id)
    where f.account_id = ${account} and f.day = ${LAST}`;
  const heading =
    'Date,Campaign,Ad group,Target,Match type,Search term,Impressions,Clicks,Spend,Orders,Sales';
  return Buffer.from(`${heading}\n${lines}\n`);
}

/** What a night does to an account: the figures of a day come in, and what places ask for first is read ahead. */
async function night(account: number): Promise<void> {
  const row = (await findAccount(db(), account))!;
  const report = await lastDay(account);
  await takeInReport(THIS_MACHINE, row, 'terms', Readable.from([report]), {
    name: 'night',
    bytes: report.length,
  });
  await loadFieldSums({ account, grain: 'target' });
  await loadTreeColumns(account);
  await loadOverview(account);
  await loadBidFeed(account);
  await loadReviewColumns(account);
}

/** What the table of targets costs a program that has nothing of the account in its memory: days nobody asked for yet. */
async function page(account: number, back: number): Promise<void> {
  const to = new Date(Date.parse(LAST) - back * 86_400_000).toISOString().slice(0, 10);
  const from = new Date(Date.parse(to) - 29 * 86_400_000).toISOString().slice(0, 10);
  pack(await loadFieldSums({ account, grain: 'target', from, to }));
}

async function measure(accounts: number[]): Promise<Cost> {
  const nights: number[] = [];
  const pages: number[] = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    const pair = accounts.length === 1 ? accounts : [accounts[0], accounts.at(-1)!].slice(0, LANES);
    const { seconds } = await timed(() => Promise.all(pair.map(night)));
    nights.push(seconds / pair.length);
    pages.push(
      (await timed(() => page(accounts[round % accounts.length], 1 + round + 3 * accounts.length))).seconds,
    );
  }
  const [{ bytes }] = await db()<{ bytes: number }[]>`select pg_database_size(current_database()) as bytes`;
  return {
    accounts: accounts.length,
    nightS: median(nights),
    pageS: median(pages),
    gigabytes: bytes / 1e9 / accounts.length,
    memoryBytes: process.memoryUsage().rss,
  };
}

/** How a cost of one account grows when there are twice as many: 1 is not at all. */
const growth = (all: readonly Cost[], of: 'nightS' | 'pageS' | 'gigabytes') => {
  // One account alone has all lanes of a night to itself.
  const costs = all.filter(({ accounts }) => accounts >= LANES);
  const [first, last] = [costs[0], costs.at(-1)!];
  return (last[of] / first[of]) ** (1 / Math.log2(last.accounts / first.accounts));
};

function tell(costs: readonly Cost[]): void {
  say(`\naccounts   night, each   page, each   on disk, each   memory of the program`);
  for (const { accounts, nightS, pageS, gigabytes, memoryBytes } of costs)
    say(
      `${String(accounts).padStart(8)}${`${nightS.toFixed(1)} s`.padStart(14)}${`${(pageS * 1000).toFixed(0)} ms`.padStart(13)}${`${gigabytes.toFixed(2)} GB`.padStart(16)}${`${(memoryBytes / 1e9).toFixed(1)} GB`.padStart(24)}`,
    );
  const grows = {
    night: growth(costs, 'nightS'),
    page: growth(costs, 'pageS'),
    disk: growth(costs, 'gigabytes'),
  };
  say(
    `with twice the accounts one costs: night x ${grows.night.toFixed(2)}, page x ${grows.page.toFixed(2)}, disk x ${grows.disk.toFixed(2)}   (1: nothing hangs on how many others there are)`,
  );
  // With several measured, those two beside one another are what a machine really does at night.
  const { nightS, gigabytes, pageS } = costs.at(-1)!;
  say(
    `\nworked out for accounts of ${TARGETS.toLocaleString('en')} targets, on ${cpus().length} cores and ${Math.round(totalmem() / 1e9)} GB of memory:`,
  );
  for (const accounts of TOLD) {
    const hours = (accounts * nightS) / 3600;
    say(
      `${String(accounts).padStart(8)}: night ${hours.toFixed(1)} h, disk ${(accounts * gigabytes).toFixed(0)} GB, machines for a night of ${NIGHT_HOURS} h: ${Math.max(1, Math.ceil(hours / NIGHT_HOURS))}`,
    );
  }
  say(
    `one machine of this kind ends at ${Math.floor((NIGHT_HOURS * 3600) / nightS).toLocaleString('en')} accounts (by its nights), and answers ${Math.floor(3600 / pageS).toLocaleString('en')} first looks an hour one after another`,
  );
}

try {
  const accounts: number[] = [];
  const costs: Cost[] = [];
  for (const count of COUNTS) {
    while (accounts.length < count) {
      say(`Making account ${accounts.length + 1} of ${TARGETS.toLocaleString('en')} targets …`);
      accounts.push(await aLargeAccount({ targets: TARGETS, days: 90, terms: TERMS_A_TARGET * TARGETS }));
    }
    await db()`vacuum analyze`;
    costs.push(await measure(accounts));
  }
  tell(costs);
} finally {
  await closeContext();
}
