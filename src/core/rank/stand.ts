import { BEYOND, isPlace } from './panel';

/** Days that a rank is taken from: one day's is chance. */
export const RANK_DAYS = 7;

/**
 * Where a term stood over some days: the geometric mean of its ranks, one decimal. Half of the told days or more beyond the last page:
 * beyond it. @returns null where no day was told
 */
export function standOver(ranks: ArrayLike<number>, from: number, to: number): number | null {
  let [told, places, sum] = [0, 0, 0];
  for (let at = Math.max(0, from); at < to; at += 1) {
    if (Number.isNaN(ranks[at])) continue;
    told += 1;
    if (!isPlace(ranks[at])) continue;
    places += 1;
    sum += Math.log(ranks[at]);
  }
  if (told === 0) return null;
  if (places * 2 <= told) return BEYOND;
  return Math.round(10 * Math.exp(sum / places)) / 10;
}

/**
 * A rank as a number that can be held against others: beyond the last page it is at least one place worse than the worst that was told.
 * @param deepest the worst rank that the account was told
 */
export const atLeast = (rank: number, deepest: number): number => (isPlace(rank) ? rank : deepest + 1);
