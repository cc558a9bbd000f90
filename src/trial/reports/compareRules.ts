import { USUAL_GUARDS, USUAL_RULE, weekTrip } from '../../core/rules';
import type { Rule, RuleWork } from '../../core/rules';
import type { Args } from '../args';
import { inBlackout } from '../blackout';
import { rulePolicy } from '../played/rulePolicy';
import { doNothing, mowing, ratio } from '../policies';
import type { Policy } from '../policies';
import { runTrial, trialScenario } from '../runTrial';
import { cell, money, say, scoreOf, share, total } from './print';

/** Works of the usual set, in the order of the round. */
const SET: readonly RuleWork[] = ['dead', 'bids', 'harvest', 'negatives', 'placements', 'budgets'];

/** Settled weeks that the last one is held against, and the days whose orders are still coming in. */
const WEEKS = 9;
const LATE_DAYS = 7;

/** Rules that work in the same nights, all stopped while a week is unusual. */
function rulesOf(
  works: readonly RuleWork[],
  over: Partial<Rule> = {},
  { isGuarded = true, isBlocked = true } = {},
): Policy {
  const policies = works.map((work) => {
    const policy = rulePolicy({ ...USUAL_RULE, name: work, work, ...over });
    return work === 'harvest' && !isBlocked ? withoutNegatives(policy) : policy;
  });
  return (market, memory) => {
    const until = market.days.length - LATE_DAYS;
    const weeks = Array.from({ length: WEEKS }, (_, at) => until - 7 * at)
      .filter((to) => to >= 7)
      .map((to) => market.sums(to - 7, to));
    if (isGuarded && weekTrip(weeks, USUAL_GUARDS) !== null) return;
    for (const policy of policies) policy(market, memory);
  };
}

/** The same without the negatives that it makes: what moves goes on being caught where it was found. */
const withoutNegatives =
  (policy: Policy): Policy =>
  (market, memory) => {
    const { negatives } = market.books;
    const before = negatives.length;
    policy(market, memory);
    negatives.length = before;
  };

const NO_STEPS: Partial<Rule> = { step: { down: 0.95, up: 5 } };
const NO_RAILS: Partial<Rule> = { most: { changes: 1_000_000, spend: 1e15 } };

/** A night changes a seventh of what there is. */
const TIGHT: Partial<Rule> = { most: { changes: 10, spend: 200_000_000 } };

type Way = readonly [name: string, every: number, make: () => Policy];

/** Who decides, and how often. */
const WAYS: readonly Way[] = [
  ['do nothing', 7, doNothing],
  ['a formula, nightly', 1, ratio],
  ['careful, weekly', 7, () => mowing('careful')],
  ['steady, weekly', 7, () => mowing('steady')],
  ['bids alone, nightly', 1, () => rulesOf(['dead', 'bids'])],
  ['all but budgets', 1, () => rulesOf(SET.filter((work) => work !== 'budgets'))],
  ['the usual set', 1, () => rulesOf(SET)],
  ['  no harvest', 1, () => rulesOf(SET.filter((work) => work !== 'harvest'))],
  ['  harvest not blocked', 1, () => rulesOf(SET, {}, { isBlocked: false })],
  ['  waiting 14 days', 1, () => rulesOf(SET, { waitDays: 14 })],
  ['  no guards', 1, () => rulesOf(SET, { ...NO_STEPS, ...NO_RAILS }, { isGuarded: false })],
];

/** The orders of the fifth and sixth week are told in the eighth. */
const BLACKOUT = { from: 28, to: 42, told: 49 };

/** Guards one by one, for a night on which something is wrong. @param over what is wrong with the rules themselves */
const guarded = (over: Partial<Rule> = {}): readonly Way[] => [
  ['do nothing', 7, doNothing],
  ['the usual set', 1, () => rulesOf(SET, over)],
  ['  tight rails', 1, () => rulesOf(SET, { ...over, ...TIGHT })],
  ['  no steps', 1, () => rulesOf(SET, { ...over, ...NO_STEPS })],
  ['  never stopped', 1, () => rulesOf(SET, over, { isGuarded: false })],
  ['  no guards', 1, () => rulesOf(SET, { ...over, ...NO_STEPS, ...NO_RAILS }, { isGuarded: false })],
];

/** A target of 24 % that was typed as 240 %. */
const TYPED_WRONG: Partial<Rule> = { target: { low: 2.4, high: 2.4 } };

/**
 * The usual set of rules by night against doing nothing, a formula by night and somebody who looks once a week; then the set and its guards where
 * the orders of two weeks are told late, and where a target was typed wrong. All late orders are in.
 */
export function compareRules(args: Args): void {
  compare(args, WAYS);
  say('\nThe orders of the fifth and sixth week are told in the eighth');
  compare(
    args,
    guarded().map(([name, every, make]): Way => [name, every, () => inBlackout(make(), BLACKOUT)]),
  );
  say('\nA target of ten times what is meant');
  compare(args, guarded(TYPED_WRONG));
}

function compare({ weeks, seeds, market, world }: Args, ways: readonly Way[]): void {
  const { targetAcos: target } = trialScenario(0, market, world);
  say(
    `${seeds.length} markets (${market}, ${world}), ${weeks} weeks, target ACOS ${share(target)}; sums over all markets.`,
  );
  say(
    cell('', 20) +
      ['spend', 'sales', 'ACOS', 'profit', 'sales ±', 'profit ±', 'score'].map((text) => cell(text)).join(''),
  );
  let nothing: ReturnType<typeof total> | undefined;
  for (const [name, every, make] of ways) {
    const lists = seeds.map((seed) => runTrial(seed, weeks, make(), market, world, undefined, every));
    const all = total(lists.flat());
    nothing ??= all;
    const score = lists.reduce((sum, list) => sum + scoreOf(total(list), target), 0);
    say(
      name.padEnd(20) +
        [
          money(all.spend),
          money(all.sales),
          share(all.acos),
          money(all.profit),
          share(all.sales / nothing.sales - 1),
          share(nothing.profit > 0 ? all.profit / nothing.profit - 1 : null),
          money(score),
        ]
          .map((text) => cell(text))
          .join(''),
    );
  }
}
