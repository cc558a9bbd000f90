import { formatCount, formatDay, formatShare } from '../../../core/units';
import type { EffectInfo } from '../../../contract/effects';

export const VERDICTS: Record<EffectInfo['verdict'], string> = {
  'too early': 'too early',
  'as wanted': 'as wanted',
  against: 'opposite to what was wanted',
  'no clear effect': 'no clear effect',
  'nothing to compare with': 'nothing to compare with',
  summed: 'no figures by day',
  new: 'new: nothing before',
};

/** A relative change with its sign. */
export function movedWords(change: number): string {
  const sign = change > 0 ? '+' : change < 0 ? '−' : '';
  return `${sign}${formatShare(Math.abs(change), Math.abs(change) < 0.0995 ? 1 : 0)}`;
}

/** Why there is no figure yet, or how it was got, in a sentence. */
export function howMeasured(effect: EffectInfo): string {
  const { measured, waiting, days, like, verdict, readyOn } = effect;
  if (verdict === 'nothing to compare with')
    return 'Too few targets were left alone over these weeks to compare with.';
  if (verdict === 'summed')
    return 'The figures of these weeks came summed: before and after cannot be told apart.';
  // All its targets were left out, or are gone.
  if (measured === 0 && waiting === 0) return 'Nothing can be said of it by itself.';
  if (measured === 0)
    return readyOn === null
      ? 'Changed again before a whole week was over.'
      : `Too early: the first answer comes on ${formatDay(readyOn)}.`;
  const rest = waiting > 0 ? `; ${formatCount(waiting)} not yet, or changed again within a week` : '';
  return `${formatCount(measured)} ${measured === 1 ? 'target' : 'targets'}, ${days} days before and after${rest}; compared with untouched ones (${like}).`;
}
