import { DAYS_OF_WEEK, dayOfWeek, heldThrough, movesOf, weekOfTrial } from '../../core/trials';
import type { TrialWeek, WatchedMoves, WeekSums } from '../../core/trials';
import { addDays } from '../../core/units';
import type { AccountRow } from '../../db/queries/accounts';
import {
  listSwitches,
  meanRanks,
  sumTouchedSales,
  sumTrialWeeks,
  withSameProducts,
} from '../../db/queries/weekTrials';
import type { TrialRow } from '../../db/queries/weekTrials';
import { chooseWindow } from '../accounts/chooseWindow';
import { db } from '../context/context';

const NOTHING: WeekSums = { clicks: 0, orders: 0, spend: 0, sales: 0 };
/** Weeks before a trial that what is watched is held against, and its own last ones. */
const [BEFORE_WEEKS, NOW_WEEKS] = [4, 2];

/** The weeks of a trial whose orders are in, but for those in which it was switched late; and whether all of them are. */
export async function settledWeeks(
  account: AccountRow,
  { id, campaigns, firstDay, weeks, endedOn }: TrialRow,
): Promise<{ known: (TrialWeek & { week: number })[]; isOver: boolean }> {
  const { to: settled } = await chooseWindow(account);
  const last = endedOn === null ? weeks : Math.max(0, Math.min(weeks, weekOfTrial(firstDay, endedOn)));
  const count = Math.max(0, Math.min(last, weekOfTrial(firstDay, addDays(settled, 1))));
  if (count === 0) return { known: [], isOver: false };
  const to = addDays(dayOfWeek(firstDay, count), -1);
  const family = await withSameProducts(db(), account.id, campaigns);
  const [rows, switches] = await Promise.all([
    sumTrialWeeks(db(), account.id, family, firstDay, to),
    listSwitches(db(), account.id, id),
  ]);
  const at = (week: number, isOwn: boolean): WeekSums => {
    const row = rows.find((one) => one.week === week && one.isOwn === isOwn);
    return row ? { clicks: row.clicks, orders: row.orders, spend: row.spend, sales: row.sales } : NOTHING;
  };
  const known = Array.from({ length: count }, (_, week) => week).flatMap(
    (week): (TrialWeek & { week: number })[] => {
      const isOn = heldThrough(switches, firstDay, week);
      return isOn === null ? [] : [{ week, isOn, own: at(week, true), others: at(week, false) }];
    },
  );
  return { known, isOver: count === weeks };
}

/** What is watched beside it: all sales of its products, and their organic ranks, against the four weeks before. */
export async function watchedOf(
  account: AccountRow,
  { campaigns, firstDay }: TrialRow,
): Promise<WatchedMoves> {
  const unknown = { sales: null, rank: null };
  const { lastDay } = account;
  const now = lastDay && { from: addDays(lastDay, 1 - DAYS_OF_WEEK * NOW_WEEKS), to: lastDay };
  if (!now || now.from < firstDay) return unknown;
  const before = { from: addDays(firstDay, -DAYS_OF_WEEK * BEFORE_WEEKS), to: addDays(firstDay, -1) };
  const [salesBefore, salesNow, rank] = await Promise.all([
    sumTouchedSales(db(), account.id, campaigns, before.from, before.to),
    sumTouchedSales(db(), account.id, campaigns, now.from, now.to),
    meanRanks(db(), account.id, campaigns, before, now),
  ]);
  const isWhole = (list: typeof salesNow, weeks: number) =>
    list.reduce((most, { days }) => Math.max(most, days), 0) === weeks * DAYS_OF_WEEK;
  const sum = (list: typeof salesNow, isOwn: boolean, weeks: number) =>
    (list.find((one) => one.isOwn === isOwn)?.sales ?? 0) / weeks;
  const sales =
    isWhole(salesBefore, BEFORE_WEEKS) && isWhole(salesNow, NOW_WEEKS)
      ? {
          before: sum(salesBefore, true, BEFORE_WEEKS),
          now: sum(salesNow, true, NOW_WEEKS),
          othersBefore: sum(salesBefore, false, BEFORE_WEEKS),
          othersNow: sum(salesNow, false, NOW_WEEKS),
        }
      : null;
  return movesOf({ sales, rank });
}
