import { CHANGE_SORTS, effectMeasure, sortOfChange } from '../../core/effect';
import type { ChangeSort, MadeChange } from '../../core/effect';
import { addDays, dayFromNumber, dayNumber } from '../../core/units';
import { UNSETTLED_DAYS, unsettledDays } from '../../core/windows';
import type { BaleEffects, SortEffects } from '../../contract/effects';
import { listAccepted } from '../../db/queries/effects';
import type { AcceptedChange } from '../../db/queries/effects';
import { needAccount } from '../accounts/accounts';
import { todayOf } from '../accounts/today';
import { db } from '../context/context';
import { loadCompletion } from '../sync/loadCompletion';
import { loadEffectFeed } from './effectFeed';

/** Changes are looked back on so many days. */
const LOOK_BACK = 180;

async function loadMeasure(accountId: number, isAsked: (change: AcceptedChange) => boolean) {
  const account = await needAccount(accountId);
  const today = todayOf(account);
  const late =
    account.marketId === null ? UNSETTLED_DAYS : unsettledDays(await loadCompletion(accountId, today));
  const lastDay = account.lastDay ?? addDays(today, -1);
  const settledThrough = Math.min(dayNumber(lastDay), dayNumber(today) - 1 - late);
  const accepted = await listAccepted(db(), accountId, addDays(today, -LOOK_BACK));
  const asked = accepted.filter(isAsked);
  const { feed, made } = await loadEffectFeed(accountId, accepted, asked, settledThrough);
  const measure = effectMeasure(feed);
  return {
    asked,
    settledThrough: dayFromNumber(settledThrough),
    measure: (changes: readonly AcceptedChange[]) => {
      const { readyOn, ...effect } = measure(changes.map(({ id }) => made.get(id)!) as MadeChange[]);
      // The first week has to be over, and its orders have to be in.
      return { ...effect, readyOn: readyOn === null ? null : dayFromNumber(readyOn + late + 1) };
    },
  };
}

/** What a bale did, and each of its changes. */
export async function loadBaleEffects(accountId: number, baleId: number): Promise<BaleEffects> {
  const { asked, settledThrough, measure } = await loadMeasure(accountId, (one) => one.baleId === baleId);
  return {
    settledThrough,
    bale: measure(asked),
    changes: asked.map((one) => ({ id: one.id, effect: measure([one]) })),
  };
}

/** What each sort of change did, over all bales of the last half year. */
export async function loadSortEffects(accountId: number): Promise<SortEffects> {
  const { asked, settledThrough, measure } = await loadMeasure(accountId, () => true);
  const bySort = new Map<ChangeSort, AcceptedChange[]>();
  for (const one of asked) {
    const sort = sortOfChange(one.change, one.figures.step, one.isUndo);
    const list = bySort.get(sort) ?? [];
    list.push(one);
    bySort.set(sort, list);
  }
  const sorts = (Object.keys(CHANGE_SORTS) as ChangeSort[]).filter((sort) => bySort.has(sort));
  return {
    settledThrough,
    sorts: sorts.map((sort) => {
      const changes = bySort.get(sort)!;
      const expected = { spend: 0, sales: 0 };
      for (const { effectSpend, effectSales } of changes) {
        expected.spend += effectSpend;
        expected.sales += effectSales;
      }
      return { sort, changes: changes.length, expected, effect: measure(changes) };
    }),
  };
}
