import { PLACEMENTS, targetForm } from '../structure';
import type { Place, Placement, TreeIndex } from '../structure';
import { pickNumbers, pickWhole, rowsKnown } from '../order';
import type { Numbers } from '../order';
import { dayNumber } from '../units';
import type { Day, Micros } from '../units';
import type { BidObservations, BroughtAlong, EarlierModifiers } from './observations';
import { spreadSums } from './spread';
import type { SummedAges } from './spread';

/** An account's days as they are kept, for the engine. Days without a click or an order may be left out. Money in micros. */
export interface BidFeed {
  /** The day on which is decided: the one after the last with data. */
  today: Day;
  /** Share of its final orders that a day's clicks show at an age; beyond the list all. */
  completion: number[];
  days: Columns<'targetId' | 'age' | 'clicks' | 'spend' | 'orders' | 'sales'>;
  placements: Columns<'campaignId' | 'placement' | 'age' | 'clicks' | 'spend' | 'orders'>;
  /** Accepted changes of bids. */
  bidChanges: { targetId: number; day: Day; from: Micros | null }[];
  /** Accepted changes of campaigns' modifiers, oldest first. */
  modifierChanges: { campaignId: number; placement: Placement; day: Day; from: number }[];
  /** What the words (or items) of targets that were made from here brought elsewhere before that. */
  before: ({ targetId: number } & BroughtAlong)[];
  /** Which of these came summed over several days; they are spread over them. */
  sums: { targets: SummedAges[]; placements: SummedAges[] };
  /** What the tests that were accepted in the last 30 days cost more a month at most. */
  testsUsed: Micros;
  /** Each of them. */
  tests?: { targetId: number; cost: Micros }[];
  /** Days of campaigns over 60 days, summed over their hours; and all clicks by hour. */
  openDays: Columns<'campaignId' | 'age' | 'clicks'>;
  byHour: number[];
  /** The hours of the last 28 days of campaigns that came near their daily budget; and campaigns whose market spreads it over the day. */
  nearHours: Columns<'campaignId' | 'age' | 'hour' | 'clicks' | 'spend'>;
  evenPaced: number[];
  /** Daily budgets by the day from which each stood, oldest first; campaigns whose budget never moved have none. */
  budgetDays: { campaignId: number; day: Day; budget: Micros | null }[];
  /** What was spent in the present month, and its days to come. */
  month: { spent: Micros; daysLeft: number };
}

type Columns<K extends string> = Record<K, Numbers>;

/** What the engine is told of an account, and which target of it each index stands for. */
export interface AccountObservations {
  observations: BidObservations;
  targetIds: Int32Array;
  campaignIds: Int32Array;
  /** Scope of the targets that are aimed by the account's own target ACOS; -1: none. */
  accountScope: number;
}

/** A target ACOS of nothing or less cannot be met by any bid: the least that is aimed at. */
const LEAST_ACOS = 0.01;

/** An account's tree and days in the engine's plain form. Linear in both. */
export function observationsOf(index: TreeIndex, feed: BidFeed): AccountObservations {
  const { tree } = index;
  const at = <T extends { id: number }>(list: T[]) => new Map(list.map(({ id }, place) => [id, place]));
  const [campaignAt, productAt, targetAt] = [at(tree.campaigns), at(tree.products), at(tree.targets)];
  const scopes: BidObservations['scopes'] = [];
  const scopeAt = new Map<string, number>();
  const scopeOf = (place: Place) => {
    const { acos, low, high, goal } = index.aimOf(place);
    const targetAcos = Math.max(LEAST_ACOS, acos ?? tree.accountAcos);
    const range =
      low === null || high === null || low === high
        ? undefined
        : { low: Math.max(LEAST_ACOS, low), high: Math.max(LEAST_ACOS, high) };
    const key = `${goal.scope} ${goal.scopeId} ${targetAcos}`;
    let scope = scopeAt.get(key);
    if (scope === undefined) {
      scopeAt.set(key, (scope = scopes.length));
      scopes.push(range ? { targetAcos, range } : { targetAcos });
    }
    return scope;
  };
  const before = new Map(
    feed.before.map(({ targetId, clicks, orders, sales }) => [targetId, { clicks, orders, sales }]),
  );
  const moves = lastMoves(feed.bidChanges);
  const lastChange = (id: number) => {
    const day = index.changedOn('target', id);
    if (day === undefined) return null;
    const move = moves.get(id);
    // A change of something else since then says nothing of where the bid came from.
    const from = move?.day === day ? move.from : null;
    return { daysAgo: Math.max(0, dayNumber(feed.today) - dayNumber(day)), from };
  };
  const targets = tree.targets.map((target) => {
    const place = index.placeOfTarget(target.id);
    const adGroup = index.adGroups.get(target.adGroupId);
    const bid = target.bid ?? adGroup?.defaultBid ?? 0;
    return {
      campaign: campaignAt.get(place.campaignId) ?? 0,
      // Targets of ad groups without one product share a product that is not known.
      product: productAt.get(place.productId) ?? tree.products.length,
      scope: scopeOf(place),
      kind: targetForm(target),
      bid,
      isRunning:
        bid > 0 &&
        [target, adGroup].every((one) => one?.state === 'enabled') &&
        index.campaignRuns(place.campaignId),
      change: lastChange(target.id),
      before: before.get(target.id) ?? null,
    };
  });
  return {
    observations: {
      completion: feed.completion,
      products: [
        ...tree.products.map(({ price, margin }) => ({ price, margin })),
        { price: null, margin: null },
      ],
      campaigns: tree.campaigns.map(({ budget, budgetKind, top, rest, pages, modifiersKnown }) => ({
        budget: budgetKind === 'daily' ? budget : null,
        modifiers: [top, rest, pages],
        ...(modifiersKnown === false && { modifiersKnown }),
      })),
      scopes,
      targets,
      testsUsed: feed.testsUsed,
      days: daysOf(feed, targetAt),
      placements: placementsOf(feed, campaignAt),
      earlierModifiers: earlierModifiers(index, feed, campaignAt),
    },
    targetIds: Int32Array.from(tree.targets, ({ id }) => id),
    campaignIds: Int32Array.from(tree.campaigns, ({ id }) => id),
    accountScope: scopeAt.get(`account 0 ${Math.max(LEAST_ACOS, tree.accountAcos)}`) ?? -1,
  };
}

/** The days of targets that are known, each with the bid that held on it. */
function daysOf(
  { days: asKept, bidChanges, today, sums }: BidFeed,
  targetAt: ReadonlyMap<number, number>,
): BidObservations['days'] {
  const days = spreadSums(asKept, ['clicks', 'spend', 'orders', 'sales'], sums.targets);
  const { rows, place: target } = rowsKnown(days.targetId, targetAt);
  const number = (key: keyof typeof days) => pickNumbers(days[key], rows);
  const bidOn = bidHistory(bidChanges, today);
  const bid = new Float64Array(rows.length).fill(NaN);
  if (bidChanges.length > 0)
    for (let at = 0; at < rows.length; at += 1) bid[at] = bidOn(days.targetId[rows[at]], days.age[rows[at]]);
  return {
    target,
    age: pickWhole(days.age, rows),
    clicks: number('clicks'),
    spend: number('spend'),
    orders: number('orders'),
    sales: number('sales'),
    bid,
  };
}

function placementsOf(feed: BidFeed, campaignAt: ReadonlyMap<number, number>): BidObservations['placements'] {
  const placements = spreadSums(feed.placements, ['clicks', 'spend', 'orders'], feed.sums.placements);
  const { rows, place: campaign } = rowsKnown(placements.campaignId, campaignAt);
  const number = (key: keyof typeof placements) => pickNumbers(placements[key], rows);
  return {
    campaign,
    placement: pickWhole(placements.placement, rows),
    age: pickWhole(placements.age, rows),
    clicks: number('clicks'),
    spend: number('spend'),
    orders: number('orders'),
  };
}

/** The last change of each target's bid: its day, and the bid before it. */
function lastMoves(changes: BidFeed['bidChanges']) {
  const last = new Map<number, { day: Day; from: Micros | null }>();
  for (const { targetId, day, from } of changes)
    if ((last.get(targetId)?.day ?? '') < day) last.set(targetId, { day, from });
  return last;
}

/** Modifiers before each of their changes, back from what they are now. */
function earlierModifiers(
  { tree }: TreeIndex,
  { modifierChanges, today }: BidFeed,
  campaignAt: ReadonlyMap<number, number>,
): EarlierModifiers[] {
  const now = new Map(
    tree.campaigns.map(({ id, top, rest, pages }) => [
      id,
      [top, rest, pages] as EarlierModifiers['modifiers'],
    ]),
  );
  const list: EarlierModifiers[] = [];
  for (const { campaignId, placement, day, from } of [...modifierChanges].reverse()) {
    const stood = now.get(campaignId);
    if (!stood) continue;
    const before = stood.map((one, at) => (at === PLACEMENTS.indexOf(placement) ? from : one));
    now.set(campaignId, before as EarlierModifiers['modifiers']);
    // A change of a day holds from that day on.
    list.push({
      campaign: campaignAt.get(campaignId)!,
      age: dayNumber(today) - 1 - dayNumber(day),
      modifiers: before as EarlierModifiers['modifiers'],
    });
  }
  return list;
}

/** The bid of a target at an age of days, from its changes: what the next later one moved it from. NaN: as it is now. */
function bidHistory(changes: BidFeed['bidChanges'], today: Day): (targetId: number, age: number) => number {
  const byTarget = new Map<number, { age: number; from: number }[]>();
  for (const { targetId, day, from } of changes) {
    if (from === null) continue;
    const list = byTarget.get(targetId) ?? [];
    // A change of a day holds from that day on.
    list.push({ age: dayNumber(today) - 1 - dayNumber(day), from });
    byTarget.set(targetId, list);
  }
  for (const list of byTarget.values()) list.sort((a, b) => b.age - a.age);
  return (targetId, age) => byTarget.get(targetId)?.find((change) => change.age < age)?.from ?? NaN;
}
