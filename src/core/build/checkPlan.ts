import { checkBid, checkBudget, checkDates, checkModifier, checkRefinement } from '../changes';
import type { Finding } from '../changes';
import { largest, smallest } from '../order';
import { PLACEMENT_LABELS, PLACEMENTS } from '../structure';
import { formatCount, formatMoney, formatShare } from '../units';
import type { Day } from '../units';
import type { PlannedCampaign } from './planned';
import { checkItems, checkTerms } from './checkLines';
import { told, wrong } from './fault';
import type { PlanFault } from './fault';
import type { PlanGround } from './ground';
import { isOffered, PARTS } from './parts';
import type { BuildPlan } from './plan';

/** Margins that differ by more than this, share of price, want different bids. */
const MARGINS_APART = 0.15;

/** Every fault of a plan at once: what the market would refuse, what contradicts itself, and what may not be meant so. */
export function checkPlan(
  plan: BuildPlan,
  campaigns: readonly PlannedCampaign[],
  ground: PlanGround,
): PlanFault[] {
  return [
    ...checkProducts(plan, ground),
    ...checkParts(plan, campaigns, ground),
    ...checkTerms(plan, ground),
    ...checkItems(plan, ground),
    ...checkRefined(plan, ground),
    ...campaigns.flatMap((campaign) => checkCampaign(campaign, ground)),
    ...checkNames(campaigns, ground),
    ...checkTotal(plan, campaigns),
    ...(plan.adGroupShare !== null && !ground.offers.adGroupBudgets
      ? [wrong('adGroupShare', 'Ad groups of this market have no budget of their own.')]
      : []),
  ];
}

const ofMarket = (at: string, findings: readonly Finding[]) =>
  findings.map(({ sentence }) => wrong(at, sentence));

function checkProducts({ productId, more }: BuildPlan, { products }: PlanGround): PlanFault[] {
  const strange = [productId, ...more].filter((id) => !products.has(id));
  if (strange.length > 0)
    return strange.map((id) =>
      wrong(id === productId ? 'productId' : 'more', `The account has no product ${id}.`),
    );
  const known = [productId, ...more].flatMap((id) => products.get(id)!.margin ?? []);
  const [least, most] = [smallest(known), largest(known)];
  return known.length > 1 && most - least > MARGINS_APART
    ? [
        told(
          'more',
          `Their margins run from ${formatShare(least, 0)} to ${formatShare(most, 0)} of the price: one bid and one target ACOS cannot suit all of them.`,
        ),
      ]
    : [];
}

function checkParts(
  plan: BuildPlan,
  campaigns: readonly PlannedCampaign[],
  { offers, limits }: PlanGround,
): PlanFault[] {
  const on = PARTS.filter(({ name }) => plan.parts[name].isOn);
  if (on.length === 0) return [wrong('parts', 'No part is on: the plan would make nothing.')];
  return on.flatMap((part) => {
    const { name, label } = part;
    const at = `parts.${name}`;
    if (!isOffered(part, offers))
      return [wrong(at, `This market does not offer it: switch ${label.toLowerCase()} off.`)];
    const own = campaigns.filter(({ part }) => part === name);
    if (own.length === 0)
      return [
        wrong(at, 'Nothing to bid on yet. Add some, switch it off, or say that it is empty on purpose.'),
      ];
    return ofMarket(at, checkBid(plan.parts[name].bid, limits));
  });
}

function checkRefined({ refined, parts }: BuildPlan, { lines, limits }: PlanGround): PlanFault[] {
  return refined.flatMap(({ aim, name, refine, bid }, index) => {
    const at = `refined.${index}`;
    if (!parts[aim === 'category' ? 'categories' : 'brands'].isOn) return [];
    if (name.trim() === '') return [wrong(at, `The ${aim} has no name.`)];
    if (aim === 'category' && !lines.has(name))
      return [wrong(at, `The market lists no category “${name}” for this account.`)];
    return ofMarket(at, [...checkRefinement(refine), ...(bid === null ? [] : checkBid(bid, limits))]);
  });
}

function checkCampaign(campaign: PlannedCampaign, { limits, offers, today }: PlanGround): PlanFault[] {
  const { key, budget, fields, targets, negatives, part, adGroupBudget } = campaign;
  const at = `own.${key}`;
  const { startsOn, endsOn, budgetKind, flex, similar } = fields;
  const past = ([day, word]: [Day | null, string]) =>
    day !== null && day < today ? [wrong(at, `The ${word} day ${day} is past; today is ${today}.`)] : [];
  return [
    ...ofMarket(`budgets.${key}`, checkBudget(budget, limits)),
    ...(adGroupBudget === null ? [] : ofMarket(`budgets.${key}`, checkBudget(adGroupBudget, limits))),
    ...past([startsOn, 'first']),
    ...past([endsOn, 'last']),
    ...ofMarket(at, checkDates(startsOn, endsOn)),
    ...(offers.budgetKinds.includes(budgetKind)
      ? []
      : [wrong(at, `This market takes no ${budgetKind} budgets.`)]),
    ...(flex !== 'fixed' && !offers.bidFlex
      ? [wrong(at, 'This market does not move bids by itself: flex is fixed.')]
      : []),
    ...(similar === 'off' && !offers.similarCategories
      ? [wrong(at, 'Campaigns of this market cannot leave out similar categories.')]
      : []),
    ...PLACEMENTS.flatMap((placement) =>
      fields[placement] > 0 && !offers.modifiers.includes(placement)
        ? [wrong(at, `This market offers no modifier at ${PLACEMENT_LABELS[placement]}.`)]
        : ofMarket(at, checkModifier(fields[placement])),
    ),
    ...(targets.length > offers.mostKeywords
      ? [
          wrong(
            `parts.${part}`,
            `${formatCount(targets.length)} targets in one ad group; the market takes ${formatCount(offers.mostKeywords)}.`,
          ),
        ]
      : []),
    ...(negatives.length > offers.mostNegatives
      ? [
          wrong(
            `parts.${part}`,
            `${formatCount(negatives.length)} negatives in one ad group; the market takes ${formatCount(offers.mostNegatives)}. Leave some out of the matrix.`,
          ),
        ]
      : []),
  ];
}

function checkNames(campaigns: readonly PlannedCampaign[], { taken }: PlanGround): PlanFault[] {
  const seen = new Set<string>();
  return campaigns.flatMap(({ key, name }) => {
    const at = `names.${key}`;
    if (name.trim() === '') return [wrong(at, 'The campaign has no name.')];
    if (name.length > 200) return [wrong(at, 'The name has more than 200 characters.')];
    if (taken.has(name)) return [wrong(at, `There is a campaign called “${name}”.`)];
    if (seen.has(name)) return [wrong(at, `Another campaign of the plan is called “${name}” too.`)];
    seen.add(name);
    return [];
  });
}

function checkTotal({ total }: BuildPlan, campaigns: readonly PlannedCampaign[]): PlanFault[] {
  const sum = campaigns.reduce((all, { budget }) => all + budget, 0);
  return sum > total
    ? [
        told(
          'total',
          `The budgets come to ${formatMoney(sum)}, more than the total of ${formatMoney(total)}.`,
        ),
      ]
    : [];
}

/** Whether nothing of a plan is wrong. */
export const isSound = (faults: readonly PlanFault[]): boolean =>
  faults.every(({ weight }) => weight !== 'wrong');
