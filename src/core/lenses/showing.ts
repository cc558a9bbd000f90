import { ratio } from '../measures';
import { lensNamed } from './lens';
import type { LensTable } from './lensTable';

/** How a figure stands to what is usual for rows of its kind in this account; null: too little to say. */
export type Level = 'low' | 'usual' | 'high' | null;

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

const levelOf = (value: number, usual: number): Level =>
  value < usual * LOW ? 'low' : value > usual * HIGH ? 'high' : 'usual';

/**
 * How often a row is shown and clicked, told as low (under two thirds), usual or high (over one and a half times) against rows of its kind in
 * this account. A CTR is judged from ten expected clicks on. Who is shown as usual but clicked less is passed over: a matter of the offer, not of the bid.
 * @param days of the window
 */
export function showingAt(table: LensTable, row: number, days: number): Showing {
  const { clicks, impressions } = table.now;
  const usual = usualOf(table, days).get(kindOf(table, row)) ?? { ctr: null, daily: null };
  const ctr = ratio(clicks[row], impressions[row]);
  const daily = impressions[row] / days;
  const canTell = usual.ctr !== null && impressions[row] * usual.ctr >= LEAST_CLICKS;
  const ctrLevel = canTell && ctr !== null ? levelOf(ctr, usual.ctr!) : null;
  const dailyLevel = usual.daily === null ? null : levelOf(daily, usual.daily);
  return {
    ctr: { value: ctr, usual: usual.ctr, level: ctrLevel },
    daily: { value: daily, usual: usual.daily, level: dailyLevel },
    isPassedOver: ctrLevel === 'low' && (dailyLevel === 'usual' || dailyLevel === 'high'),
  };
}
