import type { RankAnswer } from '../../../contract/rank';
import {
  EFFECT_DAYS,
  isPlace,
  LEAST_DAYS,
  LEAST_PAIRS,
  ORDERS_MORE,
  RANK_INTERVAL,
} from '../../../core/rank';
import { DASH, formatCount, formatNumber, formatShare } from '../../../core/units';

/** A rank as it is shown: a dash where none was told. */
export function rankText(rank: number | null): string {
  if (rank === null) return DASH;
  return isPlace(rank) ? formatNumber(rank, rank < 10 ? 1 : 0) : 'beyond';
}

/** The same with its word, in a sentence. */
export const rankSentence = (rank: number | null): string =>
  rank === null ? 'not told' : isPlace(rank) ? formatNumber(rank, rank < 10 ? 1 : 0) : 'beyond the last page';

/** A rank from which the effect is told. */
const FROM = 20;

/** What ads did to ranks in the account, in a sentence; plainly where they show nothing. */
export function effectSentence({ effect }: Pick<RankAnswer, 'effect'>): string {
  if (effect.verdict === 'early')
    return `Too early to say what ad orders do to ranks here: that takes ${LEAST_DAYS} days of ranks (there are ${formatCount(effect.days)}) and ${LEAST_PAIRS} terms with ad orders (${formatCount(effect.pairs)}).`;
  const at = (move: number) => FROM * Math.exp(move);
  const [best, worst] = effect.moves.map(at);
  if (effect.verdict === 'nothing')
    return `The figures of ${formatCount(effect.pairs)} terms show no effect of ad orders on ranks: ${ORDERS_MORE} more a week may bring rank ${FROM} to anything from ${formatNumber(best, 1)} to ${formatNumber(worst, 1)} in ${EFFECT_DAYS / 7} weeks.`;
  return `${ORDERS_MORE} more ad orders a week bring rank ${FROM} to about ${formatNumber(at(effect.move), 1)} in ${EFFECT_DAYS / 7} weeks (${formatShare(RANK_INTERVAL, 0)} sure: ${formatNumber(best, 1)} to ${formatNumber(worst, 1)}), beginning ${lagWords(effect.lags, effect.lag)}; from ${formatCount(effect.pairs)} terms with ad orders over ${formatCount(effect.days)} days.`;
}

function lagWords([from, to]: [number, number], lag: number): string {
  const after = (days: number) => formatCount(days + 1);
  const days = lag === 0 ? 'the day after an order' : `${after(lag)} days after an order`;
  return Math.round(from) === Math.round(to)
    ? days
    : `${days} (${after(Math.round(from))} to ${after(Math.round(to))})`;
}
