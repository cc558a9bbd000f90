import type { Micros } from '../units';
import { byNearness } from './rule';
import type { Rule } from './rule';

/** Something that a rule wants done, with all that goes with it. */
export interface Wanted {
  /** What it is on: two rules that want something of the same subject cannot both have it. */
  subject: string;
  name: string;
  figures: { clicks: number; impressions: number; orders: number };
  /** Changes that it makes. */
  changes: number;
  /** More spend a month that is expected; negative: less. */
  spend: Micros;
  /** A test that the testing allowance has no room for. */
  isBeyondAllowance?: boolean;
}

/** Why something was left, in words that are told with their count. */
export const LEFT = {
  'too little data': 'with too little data',
  'another rule': 'that another rule had',
  changes: 'beyond the changes of a night',
  spend: 'beyond the spend of a night',
  allowance: 'beyond the testing allowance',
} as const;
export type LeftWhy = keyof typeof LEFT;

/** What becomes of what a rule wants. */
export interface Settled<W extends Wanted> {
  goes: W[];
  left: { wanted: W; why: LeftWhy; /** The rule that had it. */ rule?: string }[];
}

interface Asking<W extends Wanted> {
  rule: Pick<Rule, 'name' | 'scope' | 'least' | 'most'>;
  /** Its place in the account's list of rules. */
  place: number;
  wanted: readonly W[];
}

/** How much of a night is used up already. */
export interface NightUse {
  changes: number;
  spend: Micros;
}

/**
 * Settles what several rules want in one night: the nearer scope first, then the order of the list; what has too little data, what another
 * rule had, and what goes beyond the guard rails of rule and account is left, each with its reason. What is wanted most comes first in its list.
 * @param use what the night has used of the account's guard rails; it is counted up
 * @returns by the place of the rule
 */
export function settleRules<W extends Wanted>(
  asking: readonly Asking<W>[],
  most: NightUse,
  use: NightUse,
): Map<number, Settled<W>> {
  const takenBy = new Map<string, string>();
  const result = new Map<number, Settled<W>>();
  for (const { rule, place, wanted } of byNearness(asking)) {
    const settled: Settled<W> = { goes: [], left: [] };
    const own: NightUse = { changes: 0, spend: 0 };
    for (const one of wanted) {
      const why = whyLeft(one, rule, takenBy, [
        { use: own, most: rule.most },
        { use, most },
      ]);
      if (why) settled.left.push({ wanted: one, ...why });
      else {
        takenBy.set(one.subject, rule.name);
        for (const counted of [own, use]) {
          counted.changes += one.changes;
          counted.spend += one.spend;
        }
        settled.goes.push(one);
      }
    }
    result.set(place, settled);
  }
  return result;
}

function whyLeft(
  { subject, figures, changes, spend, isBeyondAllowance }: Wanted,
  { least }: Pick<Rule, 'least'>,
  takenBy: ReadonlyMap<string, string>,
  rails: { use: NightUse; most: NightUse }[],
): { why: LeftWhy; rule?: string } | null {
  const { clicks, impressions, orders } = figures;
  if (clicks < least.clicks || impressions < least.impressions || orders < least.orders)
    return { why: 'too little data' };
  if (isBeyondAllowance) return { why: 'allowance' };
  const other = takenBy.get(subject);
  if (other !== undefined) return { why: 'another rule', rule: other };
  if (rails.some(({ use, most }) => use.changes + changes > most.changes)) return { why: 'changes' };
  // Less spend never meets a rail, and makes no room for more: what it saves is known only later.
  if (spend > 0 && rails.some(({ use, most }) => Math.max(0, use.spend) + spend > most.spend))
    return { why: 'spend' };
  return null;
}
