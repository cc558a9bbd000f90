import { MOST_WEEKS, touchedTargets } from '../../core/effect';
import type { EffectFeed, MadeChange, TargetPlaces, WeeksAround } from '../../core/effect';
import { indexTree } from '../../core/structure';
import { dayFromNumber, dayNumber } from '../../core/units';
import { readWeeksAround } from '../../db/queries/effects';
import { sumsIn } from '../../core/windows';
import type { Window } from '../../core/windows';
import type { AcceptedChange } from '../../db/queries/effects';
import { db } from '../context/context';
import { loadTree } from '../field/loadTree';

/**
 * All that the effects of `asked` are measured from. `accepted` are all changes of the account: what was left alone is known by them.
 * @param settledThrough day number of the last day whose orders are in @param sums days whose figures came summed
 */
export async function loadEffectFeed(
  accountId: number,
  accepted: readonly AcceptedChange[],
  asked: readonly AcceptedChange[],
  settledThrough: number,
  sums: readonly Window[],
): Promise<{ feed: EffectFeed; made: Map<number, MadeChange> }> {
  const index = indexTree(await loadTree(accountId));
  const { targets } = index.tree;
  const places = placesOf(targets, (id) => index.placeOfTarget(id).campaignId);
  const touched: Set<number>[] = targets.map(() => new Set());
  const made = new Map<number, MadeChange>();
  const wanted = new Set(asked.map(({ id }) => id));
  for (const one of accepted) {
    const day = dayNumber(one.day);
    const on = touchedTargets(one.change, { ...one, caughtBy: one.figures.targetId ?? null }, places);
    for (const place of on) touched[place].add(day);
    if (wanted.has(one.id))
      made.set(one.id, {
        id: one.id,
        day,
        targets: on,
        expected: { spend: one.effectSpend, sales: one.effectSales },
      });
  }
  const days = [...new Set([...made.values()].map(({ day }) => day))];
  const weeks = new Map<number, WeeksAround>();
  const summed = new Set(days.filter((day) => meetsSum(day, sums)));
  for (const day of days)
    if (!summed.has(day))
      weeks.set(day, await weeksAround(accountId, day, settledThrough, places, targets.length));
  return {
    feed: {
      targets: targets.map(({ id, kind, match }) => {
        const aim = index.aimOf(index.placeOfTarget(id));
        return {
          id,
          kind: match ?? kind,
          targetAcos: aim.acos ?? index.tree.accountAcos,
          margin: aim.margin,
        };
      }),
      weeks,
      summed,
      touched: touched.map((set) => [...set].sort((a, b) => a - b)),
    },
    made,
  };
}

/** Whether the weeks that a change of a day is measured over meet a sum. */
const meetsSum = (day: number, sums: readonly Window[]) =>
  sumsIn({ from: dayFromNumber(day - 7 * MOST_WEEKS), to: dayFromNumber(day + 7 * MOST_WEEKS - 1) }, sums)
    .length > 0;

function placesOf(
  targets: readonly { id: number; adGroupId: number }[],
  campaignOf: (id: number) => number,
): TargetPlaces {
  const byTarget = new Map(targets.map(({ id }, place) => [id, place]));
  const byAdGroup = groupPlaces(targets.length, (place) => targets[place].adGroupId);
  const byCampaign = groupPlaces(targets.length, (place) => campaignOf(targets[place].id));
  return {
    byTarget: (id) => byTarget.get(id),
    byAdGroup: (id) => byAdGroup.get(id) ?? [],
    byCampaign: (id) => byCampaign.get(id) ?? [],
  };
}

function groupPlaces(size: number, keyOf: (place: number) => number): Map<number, number[]> {
  const groups = new Map<number, number[]>();
  for (let place = 0; place < size; place += 1) {
    const key = keyOf(place);
    const group = groups.get(key);
    if (group) group.push(place);
    else groups.set(key, [place]);
  }
  return groups;
}

async function weeksAround(
  accountId: number,
  day: number,
  settledThrough: number,
  places: TargetPlaces,
  size: number,
): Promise<WeeksAround> {
  const settledDays = Math.min(7 * MOST_WEEKS, Math.max(0, settledThrough + 1 - day));
  const column = () => new Float64Array(size * 2 * MOST_WEEKS);
  const around = { day, settledDays, clicks: column(), spend: column(), sales: column() };
  if (settledDays === 0) return around;
  const rows = await readWeeksAround(db(), accountId, dayFromNumber(day), dayFromNumber(settledThrough));
  for (const { targetId, week, clicks, spend, sales } of rows) {
    const place = places.byTarget(targetId);
    if (place === undefined) continue;
    const at = place * 2 * MOST_WEEKS + week;
    around.clicks[at] = clicks;
    around.spend[at] = spend;
    around.sales[at] = sales;
  }
  return around;
}
