import { isPlace } from '../../../core/rank';
import { DASH, formatNumber } from '../../../core/units';

/** A rank as it is shown: a dash where none was told. */
export function rankText(rank: number | null): string {
  if (rank === null) return DASH;
  return isPlace(rank) ? formatNumber(rank, rank < 10 ? 1 : 0) : 'beyond';
}

/** The same with its word, in a sentence. */
export const rankSentence = (rank: number | null): string =>
  rank === null ? 'not told' : isPlace(rank) ? formatNumber(rank, rank < 10 ? 1 : 0) : 'beyond the last page';
