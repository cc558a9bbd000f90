import type { TrialInfo } from '../../../contract/trials';
import { formatCount, formatDay, formatShare } from '../../../core/units';

type Told = Pick<
  TrialInfo,
  'state' | 'why' | 'verdict' | 'isOn' | 'nextSwitch' | 'settled' | 'weeks' | 'estimate' | 'endedOn'
>;

/** How a trial stands, or what came of it. */
export function trialWords(trial: Told): string {
  const { state, why, verdict, isOn, nextSwitch, settled, weeks, estimate } = trial;
  if (state === 'running') {
    const now = isOn ? 'On now' : 'Off now';
    if (nextSwitch === null)
      return `All its weeks are over; off now. Orders still come in: it is told once they have.`;
    const { sales } = estimate.effects;
    if (!sales)
      return `${now}, until ${formatDay(nextSwitch)}. Too early: no week of either kind is settled yet.`;
    const isSure = Math.abs(estimate.z) >= estimate.bound;
    return isSure
      ? `${now}, until ${formatDay(nextSwitch)}. It surely makes a difference already; its size gets clearer to the end.`
      : `${now}, until ${formatDay(nextSwitch)}. ${formatCount(settled.length)} of ${formatCount(weeks)} weeks are told: not enough to say.`;
  }
  const found = verdict ? verdictWords(verdict) : 'Nothing is told of it.';
  return why ? `${why} ${found}` : found;
}

/** What a trial has come to, in a sentence. */
export function verdictWords({ verdict, estimate }: NonNullable<TrialInfo['verdict']>): string {
  const { sales } = estimate.effects;
  if (!sales) return 'It came to an end before both kinds of weeks were settled: nothing is told.';
  const span = `${signed(sales.effect)} in ad sales, ${signed(sales.low)} to ${signed(sales.high)}`;
  if (verdict === 'better') return `It sells more: ${span}.`;
  if (verdict === 'worse') return `It sells less: ${span}.`;
  return `No difference that these weeks could show: ${span}.`;
}

const signed = (share: number) => `${share < 0 ? '−' : '+'}${formatShare(Math.abs(share), 0)}`;
