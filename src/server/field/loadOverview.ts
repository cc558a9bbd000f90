import { marginOf } from '../../core/economics';
import { monthOf } from '../../core/pace';
import { addDays } from '../../core/units';
import { comparedWindow, readSpan } from '../../core/windows';
import type { MonthGoal, OverviewAnswer, OverviewDay } from '../../contract/field';
import type { AskedWindow } from '../../contract/requests';
import { REPORT_LABELS } from '../../contract/reportFields';
import { listProducts } from '../../db/queries/economics';
import { findMonthGoal, upsertMonthGoal } from '../../db/queries/monthGoals';
import { countChangeDays } from '../../db/queries/rowHistory';
import { readProductSums } from '../../db/queries/productSums';
import type { ProductSums } from '../../db/queries/productSums';
import { readSums } from '../../db/queries/sums';
import type { SumsGroup } from '../../db/queries/sums';
import { chooseWindow } from '../accounts/chooseWindow';
import { needAccount } from '../accounts/accounts';
import { todayOf } from '../accounts/today';
import { db } from '../context/context';
import { keptRead, spanKey } from '../context/keptReads';
import { recorded } from '../trail';
import type { Caller } from '../trail';
import { costsOf } from '../economics/products';
import { loadSync } from '../sync/loadSync';

/** Weeks before the month from which weekdays get their weight. */
export const WEIGH_DAYS = 56;

/** The whole account over a window: day by day with all sales, profit after ads, the month, days that are missing. */
export async function loadOverview(
  accountId: number,
  { from, to, versus }: AskedWindow = {},
): Promise<OverviewAnswer> {
  const account = await needAccount(accountId);
  const window = await chooseWindow(account, from, to);
  const before = comparedWindow(window, account, readSpan(versus));
  const lastDay = account.lastDay ?? addDays(todayOf(account), -1);
  const month = monthOf(lastDay);
  const first = [before.from, window.from, addDays(month, -WEIGH_DAYS)].sort()[0];
  const ask = { accountId, scope: null, completion: [] };
  const [days, products, list, goal, sync, changes] = await Promise.all([
    keptRead(`days ${accountId} ${first} ${lastDay}`, String(account.figures), () =>
      readSums(db(), { ...ask, grain: 'day', from: first, to: lastDay, before: null }),
    ),
    keptRead(
      `products ${accountId} ${spanKey(window)} ${spanKey(before)}`,
      `${account.revision} ${account.figures}`,
      () => readProductSums(db(), accountId, window, before),
    ),
    listProducts(db(), accountId),
    findMonthGoal(db(), accountId, month),
    loadSync(accountId),
    countChangeDays(db(), accountId, null, first, lastDay),
  ]);
  const margins = new Map(list.map((row) => [row.id, marginOf(costsOf(row))?.share ?? null]));
  return {
    window,
    before,
    days: days.map(toDay).sort((a, b) => (a.day < b.day ? -1 : 1)),
    profit: profitOf(products, margins),
    changes,
    month: { goal: goal ?? null, lastDay },
    missing: sync.reports.flatMap(({ kind, missing }) =>
      missing.length > 0 ? [{ report: REPORT_LABELS[kind], days: missing }] : [],
    ),
  };
}

function toDay({
  name,
  impressions,
  clicks,
  spend,
  orders,
  units,
  sales,
  totalSales,
}: SumsGroup): OverviewDay {
  return {
    day: name,
    impressions,
    clicks,
    spend: Number(spend),
    orders,
    units,
    sales: Number(sales),
    totalSales: totalSales == null ? null : Number(totalSales),
  };
}

/** Margin x ad sales - spend, over products whose costs are known: what is not known is told, not taken for zero. */
function profitOf(products: ProductSums[], margins: Map<number, number | null>): OverviewAnswer['profit'] {
  const profit = { now: 0, before: 0, unknownSales: 0 };
  let known = 0;
  for (const one of products) {
    const margin = one.id === null ? null : (margins.get(one.id) ?? null);
    if (margin === null) {
      profit.unknownSales += one.sales;
      continue;
    }
    known += 1;
    profit.now += margin * one.sales - one.spend;
    profit.before += margin * one.salesBefore - one.spendBefore;
  }
  if (known === 0) return { now: null, before: null, unknownSales: profit.unknownSales };
  return { ...profit, now: Math.round(profit.now), before: Math.round(profit.before) };
}

/** Sets what is to be reached in a month. */
export async function setMonthGoal(caller: Caller, accountId: number, goal: MonthGoal): Promise<void> {
  await needAccount(accountId);
  await recorded(caller, accountId, async (tx, note) => {
    const from = await findMonthGoal(tx, accountId, goal.month);
    await upsertMonthGoal(tx, accountId, goal);
    note({ what: 'set month goal', subject: goal.month, from, to: goal });
  });
}
