import { MowingError } from '../../contract/mowingError';
import type { MarketLimits } from '../../core/changes';
import { growthFaults } from '../../core/growth';
import { lensNamed } from '../../core/lenses';
import { KEYWORD_MATCHES } from '../../core/matching';
import type { KeywordMatch } from '../../core/matching';
import { swathHolds } from '../../core/rules';
import type { Rule } from '../../core/rules';
import type { TreeIndex } from '../../core/structure';
import type { AccountRow } from '../../db/queries/accounts';
import { readConditions } from '../../plans/byHand';
import { scopeName } from './scopeName';

/** @throws MowingError with everything that is wrong */
export function checkRule(
  rule: Rule,
  index: TreeIndex,
  { limits, options }: Pick<AccountRow, 'limits' | 'options'>,
): void {
  const wrong = [
    ...scopeFaults(rule, index),
    ...handFaults(rule),
    ...(rule.bid.low !== null && rule.bid.high !== null && rule.bid.low > rule.bid.high
      ? ['Its lowest bid is above its highest.']
      : []),
    ...newTermFaults(rule, options?.matches ?? KEYWORD_MATCHES),
    ...growthRuleFaults(rule, limits),
  ];
  if (wrong.length > 0) throw new MowingError('bad-request', wrong.join(' '));
}

/** What is wrong with conditions, each told. */
const conditionFaults = (conditions: readonly string[]): string[] =>
  conditions.flatMap((one) =>
    readConditions([one]) === null ? [`“${one}” is no condition for a rule; write it like acos>=40.`] : [],
  );

function scopeFaults({ scope, swath, work }: Rule, index: TreeIndex): string[] {
  if ((scope.kind === 'swath') !== (swath !== null))
    return ['A rule that works in a swath says which, and no other rule does.'];
  if (swath !== null) {
    const { rows } = lensNamed(swath.lens);
    return [
      ...(swath.conditions.length === 0
        ? [`The swath “${swath.name}” has no conditions: choose the whole account instead.`]
        : conditionFaults(swath.conditions)),
      ...(swathHolds(swath.lens, work) ? [] : [`A swath of ${rows} holds nothing that this work is on.`]),
    ];
  }
  return scopeName(index, scope) === null || (scope.kind === 'account' && scope.id !== 0)
    ? ['Its scope is not in the account any more.']
    : [];
}

const handFaults = ({ work, hand }: Rule): string[] =>
  work !== 'by hand'
    ? []
    : hand.conditions.length === 0
      ? ['Say which targets: a step by hand on all of them is nothing for a rule.']
      : conditionFaults(hand.conditions);

function newTermFaults({ work, newTerms }: Rule, matches: readonly KeywordMatch[]): string[] {
  if ((work === 'new terms') !== (newTerms !== null))
    return ['A rule for new terms says where they come from, and no other rule does.'];
  if (newTerms === null) return [];
  return [
    ...(newTerms.market || newTerms.campaigns
      ? []
      : ['Say where new terms come from: the market’s suggestions, other campaigns, or both.']),
    ...(matches.includes(newTerms.match)
      ? []
      : [`The market has no ${newTerms.match} match: choose ${matches.join(' or ')}.`]),
  ];
}

function growthRuleFaults({ work, growth, scope }: Rule, limits: MarketLimits): string[] {
  if ((work === 'growth') !== (growth !== null))
    return ['A growth plan has its stages, and no other rule has.'];
  return growth === null
    ? []
    : [
        ...(scope.kind === 'product' ? [] : ['A growth plan is for a product.']),
        ...growthFaults(growth, limits),
      ];
}
