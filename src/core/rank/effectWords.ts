import { formatCount, formatNumber, formatShare } from '../units';
import { EFFECT_DAYS, LEAST_DAYS, LEAST_PAIRS, ORDERS_MORE, RANK_INTERVAL } from './rankEffect';
import type { RankEffect } from './rankEffect';

/** A rank from which the effect is told. */
const FROM = 20;

/** What ads did to ranks in an account, in a sentence; plainly where its figures show nothing. */
export function rankEffectWords(effect: RankEffect): string {
  if (effect.verdict === 'early')
    return `Too early to say what ad orders do to ranks here: that takes ${LEAST_DAYS} days of ranks (there are ${formatCount(effect.days)}) and ${LEAST_PAIRS} terms with ad orders (${formatCount(effect.pairs)}).`;
  const at = (move: number) => formatNumber(FROM * Math.exp(move), 1);
  const [best, worst] = effect.moves.map(at);
  const weeks = EFFECT_DAYS / 7;
  if (effect.verdict === 'nothing')
    return `The figures of ${formatCount(effect.pairs)} terms show no effect of ad orders on ranks: ${ORDERS_MORE} more a week may bring rank ${FROM} to anything from ${best} to ${worst} in ${weeks} weeks.`;
  return `${ORDERS_MORE} more ad orders a week bring rank ${FROM} to about ${at(effect.move)} in ${weeks} weeks (${formatShare(RANK_INTERVAL, 0)} sure: ${best} to ${worst}), beginning ${lagWords(effect.lags, effect.lag)}; from ${formatCount(effect.pairs)} terms with ad orders over ${formatCount(effect.days)} days.`;
}

function lagWords([from, to]: [number, number], lag: number): string {
  const after = (days: number) => formatCount(Math.round(days) + 1);
  const days = lag === 0 ? 'the day after an order' : `${after(lag)} days after an order`;
  return Math.round(from) === Math.round(to) ? days : `${days} (${after(from)} to ${after(to)})`;
}
