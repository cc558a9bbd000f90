import type { TrendSeries } from '../../../charts';
import { largest } from '../../../core/order';
import { BEYOND } from '../../../core/rank';
import { formatCount } from '../../../core/units';
import { rankSentence } from './rankWords';

/** Ranks by day as a line with the best at the top; what is beyond the last page is drawn below every rank that was told. */
export function rankSeries(label: string, ranks: readonly (number | null)[]): TrendSeries {
  const below = largest(ranks.map((one) => one ?? 0)) + 1;
  return {
    label,
    isRank: true,
    values: ranks.map((one) => (one === BEYOND ? below : one)),
    show: (value) => rankSentence(value === below ? BEYOND : value),
    tick: (value) => formatCount(value),
  };
}
