import { PLACEMENTS } from '../../../core/structure';
import type { Refinement } from '../../../core/structure';
import type { MarketOptions, OwnKind } from '../../../contract/market';
import {
  checkBid,
  checkBudget,
  checkModifier,
  checkPictureCount,
  checkRefinement,
  checkTitles,
  checkWords,
} from '../../../core/changes';
import type { MarketLimits } from '../../../core/changes';
import { normaliseTerm } from '../../../core/matching';
import type { KeywordMatch } from '../../../core/matching';
import { isWeek } from '../../../core/schedules';
import { isDay } from '../../../core/units';
import { AUTO_GROUPS } from '../../sim';
import { FIELDS, refused } from './facts';
import type { Refusal } from './facts';

/** What holds for an account. */
export interface Rules {
  limits: MarketLimits;
  options: MarketOptions;
  today: string;
}

type Fields = Record<string, unknown>;
const ITEM_CODE = /^[A-Z0-9]{10}$/;
const ONE_OF: Record<string, readonly string[]> = {
  state: ['enabled', 'paused'],
  budgetKind: ['daily', 'lifetime'],
  pacing: ['even', 'fast'],
  flex: ['fixed', 'down only', 'both ways'],
  similar: ['on', 'off'],
  kind: ['keyword', 'item', 'category', 'brand', 'auto'],
};

/** What the market refuses in the fields of a change, by themselves; null when nothing. */
export function checkFields(entity: OwnKind, fields: Fields, isNew: boolean, rules: Rules): Refusal | null {
  const known = FIELDS[entity];
  for (const name of Object.keys(fields))
    if (!(isNew ? name in known.create : known.update.includes(name)))
      return refused('unknown-field', `“${name}” cannot be set on ${entity}.`);
  if (isNew)
    for (const [name, isNeeded] of Object.entries(known.create))
      if (isNeeded && (fields[name] === undefined || fields[name] === null))
        return refused('missing-field', `“${name}” is missing.`);
  for (const [name, values] of Object.entries(ONE_OF))
    if (fields[name] !== undefined && !values.includes(String(fields[name])))
      return refused('bad-value', `“${name}” is one of ${values.join(', ')}, not ${String(fields[name])}.`);
  return (
    checkMoney(fields, rules) ??
    checkOptions(fields, rules) ??
    (entity === 'ad-groups' ? checkAdGroup(fields, rules) : null) ??
    (entity === 'ads' ? checkAdParts(fields, rules) : null) ??
    checkDates(fields, rules) ??
    (entity === 'targets' && isNew ? checkTarget(fields, rules) : null) ??
    (entity === 'negatives' ? checkNegative(fields, rules) : null) ??
    (entity === 'schedules' ? checkSchedule(fields, rules) : null)
  );
}

function checkMoney(fields: Fields, { limits, options }: Rules): Refusal | null {
  for (const name of ['bid', 'defaultBid']) {
    const bid = fields[name];
    if (bid === undefined || bid === null) continue;
    if (!Number.isInteger(bid)) return refused('bad-value', `“${name}” is a whole number of micros.`);
    if (options.clickPrice && bid !== options.clickPrice)
      return refused('not-offered', 'This market has one price per click; there is nothing to bid.');
    const [finding] = checkBid(bid as number, limits);
    if (finding) return finding;
  }
  if (fields.budget === undefined || fields.budget === null) return null;
  if (!Number.isInteger(fields.budget)) return refused('bad-value', '“budget” is a whole number of micros.');
  return checkBudget(fields.budget as number, limits)[0] ?? null;
}

function checkOptions(fields: Fields, { options }: Rules): Refusal | null {
  const { budgetKind } = fields;
  if (budgetKind !== undefined && options.budgetKinds && !options.budgetKinds.includes(budgetKind as 'daily'))
    return refused('not-offered', `This market takes no ${String(budgetKind)} budgets.`);
  for (const placement of PLACEMENTS) {
    if (fields[placement] === undefined) continue;
    const [finding] = checkModifier(Number(fields[placement]));
    if (finding) return finding;
    if (Number(fields[placement]) > 0 && !options.modifiers.includes(placement))
      return refused('not-offered', `This market offers no modifier at “${placement}”.`);
  }
  if (fields.flex !== undefined && fields.flex !== 'fixed' && !options.bidFlex)
    return refused('not-offered', 'This market does not move bids by itself.');
  if (fields.similar === 'off' && !options.similarCategories)
    return refused('not-offered', 'Campaigns of this market cannot leave out similar categories.');
  return null;
}

/** A budget and days of an ad group's own are not taken everywhere. */
function checkAdGroup({ budget, startsOn, endsOn }: Fields, { options }: Rules): Refusal | null {
  const hasOwn = [budget, startsOn, endsOn].some((value) => value !== undefined && value !== null);
  return hasOwn && !options.adGroupBudgets
    ? refused('not-offered', 'Ad groups of this market have no budget and no days of their own.')
    : null;
}

/** Titles of an ad's own. Its pictures are looked at where the market keeps them. */
function checkAdParts({ titles, pictures }: Fields, { limits, options }: Rules): Refusal | null {
  const given = [titles, pictures].filter((list) => list !== undefined);
  if (!given.every((list) => Array.isArray(list) && list.every((one) => typeof one === 'string')))
    return refused('bad-value', 'Titles and pictures are lists of texts.');
  if (given.every((list) => list.length === 0)) return null;
  if (!options.adParts) return refused('not-offered', 'Ads of this market show what the product shows.');
  return (
    checkTitles((titles ?? []) as string[], options.adParts, limits)[0] ??
    checkPictureCount((pictures ?? []) as string[], options.adParts)[0] ??
    null
  );
}

function checkDates({ startsOn, endsOn }: Fields, { today }: Rules): Refusal | null {
  for (const day of [startsOn, endsOn])
    if (day !== undefined && day !== null && !isDay(String(day)))
      return refused('bad-value', `${String(day)} is no day.`);
  if (startsOn && String(startsOn) < today)
    return refused('past-day', `The start ${String(startsOn)} is past; today is ${today}.`);
  if (endsOn && String(endsOn) < today)
    return refused('past-day', `The end ${String(endsOn)} is past; today is ${today}.`);
  if (startsOn && endsOn && String(endsOn) < String(startsOn))
    return refused('bad-value', 'The campaign ends before it starts.');
  return null;
}

function checkTarget(
  { kind, match, expression, refine }: Fields,
  { limits, options }: Rules,
): Refusal | null {
  if (kind === 'keyword') {
    if (!['exact', 'phrase', 'broad'].includes(String(match)))
      return refused('bad-value', 'A keyword is exact, phrase or broad.');
    if (options.matches && !options.matches.includes(match as KeywordMatch))
      return refused('not-offered', `This market takes no ${String(match)} keywords.`);
    return checkWords(String(expression), limits)[0] ?? checkAllowed(String(expression));
  }
  if (kind === 'auto')
    return (options.autoGroups ?? AUTO_GROUPS).includes(String(expression) as (typeof AUTO_GROUPS)[number])
      ? null
      : refused('bad-value', `There is no automatic group “${String(expression)}”.`);
  if (!options.productTargets)
    return refused('not-offered', 'This market takes no targets on items, categories or brands.');
  if (kind === 'item') return checkCode(String(expression));
  return checkRefinement((refine ?? null) as Refinement | null)[0] ?? null;
}

/** Words that no ad may be bid on. The market lists them nowhere: a seller learns of one when it is refused. */
const NOT_ALLOWED = ['cure', 'medicine', 'slimming'];

function checkAllowed(expression: string): Refusal | null {
  const word = NOT_ALLOWED.find((one) => normaliseTerm(expression).split(' ').includes(one));
  return word === undefined ? null : refused('not-allowed', `This market takes no bids on “${word}”.`);
}

function checkNegative({ match, expression }: Fields, { limits }: Rules): Refusal | null {
  if (match === 'item') return checkCode(String(expression));
  if (match !== 'exact' && match !== 'phrase')
    return refused('bad-value', 'A negative is exact, phrase or item.');
  return checkWords(String(expression), limits)[0] ?? null;
}

function checkCode(code: string): Refusal | null {
  return ITEM_CODE.test(code)
    ? null
    : refused('no-item-code', `“${code}” is not an item code of ten capital letters and digits.`);
}

function checkSchedule({ week }: Fields, { options }: Rules): Refusal | null {
  if (options.schedules === false) return refused('not-offered', 'This market offers no schedules.');
  if (week === undefined) return null;
  if (!isWeek(week))
    return refused('bad-value', 'A schedule is 168 whole percentages, Monday first, from −100 (off) to 900.');
  return options.schedules === 'raise only' && week.some((percent) => percent < 0)
    ? refused('not-offered', 'This market’s schedules can only raise bids.')
    : null;
}
