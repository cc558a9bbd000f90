import { formatCount, formatShare } from '../units';
import type { RuleGuards } from './rule';

/** What the account spent and sold in a week of settled days. Money in micros. */
export interface WeekSums {
  spend: number;
  sales: number;
}

/** Weeks that have to be known before anything is called unusual. */
const LEAST_WEEKS = 3;

/**
 * Why rules stop themselves: the last week's spend or ACOS has left what was usual in the weeks before by more than the bound, upwards.
 * @param weeks settled weeks, the last one first @returns null while nothing is unusual, or too little is known
 */
export function weekTrip(
  [last, ...before]: readonly WeekSums[],
  { spendBound, acosBound }: RuleGuards,
): string | null {
  if (!last || before.length < LEAST_WEEKS) return null;
  const usual = {
    spend: before.reduce((sum, { spend }) => sum + spend, 0),
    sales: before.reduce((sum, { sales }) => sum + sales, 0),
  };
  const weekly = usual.spend / before.length;
  if (weekly > 0 && last.spend > weekly * (1 + spendBound))
    return `The last week spent ${formatShare(last.spend / weekly - 1, 0)} more than is usual, more than the ${formatShare(spendBound, 0)} that is allowed.`;
  if (usual.sales <= 0 || last.sales <= 0) return null;
  const [acos, was] = [last.spend / last.sales, usual.spend / usual.sales];
  if (acos > was * (1 + acosBound))
    return `The last week’s ACOS was ${formatShare(acos)}, ${formatShare(acos / was - 1, 0)} above the usual ${formatShare(was)}, more than the ${formatShare(acosBound, 0)} that is allowed.`;
  return null;
}

/** Refusals of fewer changes say nothing. */
const LEAST_ANSWERS = 5;

/** Why a rule stops itself after a night of which too much was refused; null while that is not so. */
export function refusalTrip(accepted: number, refused: number, { refusedBound }: RuleGuards): string | null {
  const all = accepted + refused;
  if (all < LEAST_ANSWERS || refused / all <= refusedBound) return null;
  return `${formatCount(refused)} of ${formatCount(all)} changes were refused, more than the ${formatShare(refusedBound, 0)} that is allowed.`;
}

/** What is known of what a rule did. Relative change of ACOS with its 80 % interval. */
export interface RuleEffect {
  change: number;
  low: number;
  high: number;
}

/** An effect is looked at every night, so chance would leave an 80 % interval sooner or later: this many standard deviations have to speak against it. */
const SURE_Z = 2.24;
const Z80 = 1.2816;

/** Why a rule stops itself when what it did is surely for the worse; null while that is not so. @param acos effect on the ACOS of what it changed; null: not known yet */
export function effectTrip(acos: RuleEffect | null): string | null {
  if (acos === null || acos.low <= -1) return null;
  const [middle, low] = [Math.log1p(acos.change), Math.log1p(acos.low)];
  if (middle <= (SURE_Z / Z80) * (middle - low)) return null;
  return `What it did raised the ACOS by ${formatShare(acos.low, 0)} to ${formatShare(acos.high, 0)}.`;
}
