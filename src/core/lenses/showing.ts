import { ratio } from '../measures';
import { lensNamed } from './lens';
import type { LensTable } from './lensTable';

/** How a figure stands to what is usual for rows of its kind in this account; null: too little to say. */
export type Level = 'low' | 'usual' | 'high' | null;

/** Values of one's own between which a figure is usual; null: what is usual in the account counts. CTR as shares. */
export interface Guides {
  ctrLow: number | null;
  ctrHigh: number | null;
  /** Impressions a day. */
  dailyLow: number | null;
  dailyHigh: number | null;
}

export const NO_GUIDES: Guides = { ctrLow: null, ctrHigh: null, dailyLow: null, dailyHigh: null };

/** How often a row is shown and clicked, beside what is usual for its kind. */
export interface Showing {
  ctr: { value: number | null; usual: number | null; level: Level };
  /** Impressions a day. */
  daily: { value: number; usual: number | null; level: Level };
  /** Shown as usual, but clicked less. */
  isPassedOver: boolean;
}

/** Beyond these multiples of the usual a figure is low or high. */
const [LOW, HIGH] = [2 / 3, 1.5];
/** Clicks that have to be expected before a CTR says anything, and rows before a kind has something usual. */
const [LEAST_CLICKS, LEAST_ROWS] = [10, 3];

interface Usual {
  ctr: number | null;
  daily: number | null;
}

/** Rows alike in what shows them: the kind of a target; of placements each by itself; of whole campaigns and products all. */
const kindOf = ({ lens, kind }: LensTable, row: number) =>
  lensNamed(lens).usualIn === 'account' ? '' : kind[row];

const known = new WeakMap<LensTable, Map<string, Usual>>();

/** What is usual for each kind: CTR from sums, impressions a day as the median of the rows that were shown. */
function usualOf(table: LensTable, days: number): Map<string, Usual> {
  let usual = known.get(table);
  if (usual) return usual;
  const kinds = new Map<string, { clicks: number; impressions: number; daily: number[] }>();
  const { clicks, impressions } = table.now;
  for (let row = 0; row < table.size; row += 1) {
    if (impressions[row] === 0) continue;
    const key = kindOf(table, row);
    let kind = kinds.get(key);
    if (!kind) kinds.set(key, (kind = { clicks: 0, impressions: 0, daily: [] }));
    kind.clicks += clicks[row];
    kind.impressions += impressions[row];
    kind.daily.push(impressions[row] / days);
  }
  usual = new Map(
    [...kinds].map(([key, kind]) => {
      const daily = Float64Array.from(kind.daily).sort();
      const isEnough = daily.length >= LEAST_ROWS;
      return [
        key,
        {
          ctr: isEnough ? ratio(kind.clicks, kind.impressions) : null,
          daily: isEnough ? daily[Math.floor(daily.length / 2)] : null,
        },
      ];
    }),
  );
  known.set(table, usual);
  return usual;
}

/** The bounds of what is usual: one's own, or what the kind's own figure gives; null where neither says. */
const bounds = (usual: number | null, low: number | null, high: number | null) => ({
  low: low ?? (usual === null ? null : usual * LOW),
  high: high ?? (usual === null ? null : usual * HIGH),
});

function levelOf(value: number, { low, high }: ReturnType<typeof bounds>): Level {
  if (low === null && high === null) return null;
  return value < (low ?? -Infinity) ? 'low' : value > (high ?? Infinity) ? 'high' : 'usual';
}

/**
 * How often a row is shown and clicked, told as low (under two thirds), usual or high (over one and a half times) against rows of its kind in
 * this account, or against values of one's own. A CTR is judged from ten expected clicks on. Who is shown as usual but clicked less is passed over: a matter of the offer, not of the bid.
 * @param days of the window
 */
export function showingAt(table: LensTable, row: number, days: number, guides: Guides = NO_GUIDES): Showing {
  const { clicks, impressions } = table.now;
  const usual = usualOf(table, days).get(kindOf(table, row)) ?? { ctr: null, daily: null };
  const ctr = ratio(clicks[row], impressions[row]);
  const daily = impressions[row] / days;
  const ofCtr = bounds(usual.ctr, guides.ctrLow, guides.ctrHigh);
  const expected = usual.ctr ?? ofCtr.low ?? ofCtr.high;
  const canTell = expected !== null && impressions[row] * expected >= LEAST_CLICKS;
  const ctrLevel = canTell && ctr !== null ? levelOf(ctr, ofCtr) : null;
  const dailyLevel = levelOf(daily, bounds(usual.daily, guides.dailyLow, guides.dailyHigh));
  return {
    ctr: { value: ctr, usual: usual.ctr, level: ctrLevel },
    daily: { value: daily, usual: usual.daily, level: dailyLevel },
    isPassedOver: ctrLevel === 'low' && (dailyLevel === 'usual' || dailyLevel === 'high'),
  };
}
