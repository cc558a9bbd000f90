import { addDays, formatFullDay } from '../../core/units';
import type { EntityKind, MarketEntities } from '../../contract/market';
import { MowingError } from '../../contract/mowingError';
import type { FetchedReport, MarketClient } from '../../connect/market';
import { refreshStatistics } from '../../db/queries/statistics';
import type { Query } from '../../db/connection';
import {
  findAccount,
  keepEntityCursor,
  raiseFigures,
  raiseRevision,
  updateMarketFacts,
} from '../../db/queries/accounts';
import type { AccountRow } from '../../db/queries/accounts';
import {
  upsertAdGroups,
  upsertAds,
  upsertCampaigns,
  upsertLines,
  upsertNegatives,
  upsertProducts,
  upsertSchedules,
  upsertTargets,
} from '../../db/queries/entities';
import { keepSnapshots } from '../../db/queries/snapshots';
import { listSyncDays, stampDays } from '../../db/queries/syncDays';
import { REPORT_LABELS } from '../../contract/reportFields';
import { db, log } from '../context/context';
import { takeInFromMarket } from '../imports/takeInReport';
import { learnCompletion } from './learnCompletion';
import { planOrders } from './plan';
import type { Order } from './plan';

/** Days of history asked for, at most. */
const HISTORY_DAYS = 400;

/** How far a sync is. */
export interface Progress {
  doing: string;
  done: number;
  total: number;
}

/** What a sync came to. */
export interface SyncResult {
  rows: number;
  reports: number;
  /** Days that the market's reports left out. */
  missing: string[];
}

/**
 * Brings an account up to date with its market: entities that changed, days that are missing or not final. Each report
 * is written whole with its stamp in one transaction, so a sync that breaks off goes on where it was.
 * @throws MowingError 'market-down' or 'market-refused'; what was taken over until then stays
 */
export async function syncAccount(
  accountId: number,
  market: MarketClient,
  onProgress: (at: Progress) => Promise<void>,
): Promise<SyncResult> {
  const account = await needConnected(accountId);
  const remote = (await market.accounts()).find(({ id }) => id === account.marketId);
  if (!remote)
    throw new MowingError('market-refused', `The market has no account ${account.marketId} any more.`);
  await onProgress({ doing: 'campaigns, targets and products', done: 0, total: 1 });
  await syncEntities(account, market);
  const first = later(remote.firstDay, addDays(remote.today, -HISTORY_DAYS));
  const orders = planOrders(await listSyncDays(db(), accountId), first, remote.today);
  const result = await fetchAll({ ...account, marketDay: remote.today }, market, orders, onProgress);
  // Before the first questions: a database that does not know how much came in answers them by long ways.
  if (account.marketDay === null) await refreshStatistics(db());
  await onProgress({ doing: 'how late orders arrive', done: orders.length, total: orders.length + 1 });
  await learnCompletion(accountId, remote, market);
  await keepSnapshots(db(), accountId, remote.today);
  // Written last: the account's day moves on when everything up to it is here.
  await updateMarketFacts(db(), accountId, remote);
  await raiseRevision(db(), accountId);
  return result;
}

const later = (a: string, b: string) => (a > b ? a : b);

async function needConnected(accountId: number): Promise<AccountRow & { marketId: string }> {
  const account = await findAccount(db(), accountId);
  if (!account) throw new MowingError('not-found', `There is no account ${accountId}.`);
  if (account.marketId === null)
    throw new MowingError('conflict', `${account.name} is fed by files; it has no market to fetch from.`);
  return account as AccountRow & { marketId: string };
}

type Upserts = {
  [K in EntityKind]: (sql: Query, accountId: number, list: MarketEntities[K][]) => Promise<void>;
};

/** In the order in which they refer to each other. */
const UPSERTS: Upserts = {
  lines: upsertLines,
  products: upsertProducts,
  campaigns: upsertCampaigns,
  'ad-groups': upsertAdGroups,
  ads: upsertAds,
  targets: upsertTargets,
  negatives: upsertNegatives,
  schedules: upsertSchedules,
};

const ENTITIES_AT_ONCE = 5000;

async function syncEntities(
  { id, marketId, entityCursor }: AccountRow & { marketId: string },
  market: MarketClient,
) {
  let next = Infinity;
  for (const kind of Object.keys(UPSERTS) as EntityKind[]) {
    const { items, cursor } = await market.entities(marketId, kind, entityCursor);
    // What changes while the kinds are listed one by one is listed again the next time.
    next = Math.min(next, cursor);
    const upsert = UPSERTS[kind] as (sql: Query, accountId: number, list: unknown[]) => Promise<void>;
    for (let at = 0; at < items.length; at += ENTITIES_AT_ONCE)
      await upsert(db(), id, items.slice(at, at + ENTITIES_AT_ONCE));
    if (items.length > 0) await raiseFigures(db(), id);
  }
  await keepEntityCursor(db(), id, next);
}

/** Fetches reports one after another; the market makes the next one while this one is written. */
async function fetchAll(
  account: AccountRow & { marketId: string },
  market: MarketClient,
  orders: Order[],
  onProgress: (at: Progress) => Promise<void>,
): Promise<SyncResult> {
  const result: SyncResult = { rows: 0, reports: orders.length, missing: [] };
  const ask = (order: Order | undefined) => {
    const asked = order && market.report(account.marketId, order);
    asked?.catch(() => {}); // told when its turn comes
    return asked;
  };
  let next = ask(orders[0]);
  for (const [at, order] of orders.entries()) {
    const total = orders.length + 1;
    await onProgress({
      doing: `${REPORT_LABELS[order.kind].toLowerCase()}, ${formatFullDay(order.from)} to ${formatFullDay(order.to)}`,
      done: at,
      total,
    });
    const fetched = await next!;
    next = ask(orders[at + 1]);
    result.rows += await takeOver(account, order, fetched, result.missing);
  }
  return result;
}

async function takeOver(
  account: AccountRow,
  order: Order,
  { report, csv }: FetchedReport,
  missing: string[],
): Promise<number> {
  const whole = new Set(report.days);
  for (let day = order.from; day <= order.to; day = addDays(day, 1))
    if (!whole.has(day)) missing.push(`${REPORT_LABELS[order.kind]} ${formatFullDay(day)}`);
  if (report.rows === 0) {
    await stampDays(db(), account.id, order.kind, report.days, report.madeOn!);
    return 0;
  }
  const { kept, unchanged } = await takeInFromMarket(account, order.kind, csv, (tx) =>
    stampDays(tx, account.id, order.kind, report.days, report.madeOn!),
  );
  if (kept + unchanged !== report.rows)
    log().warn({ order, rows: report.rows, kept, unchanged }, 'a report held rows that repeat others');
  return kept;
}
