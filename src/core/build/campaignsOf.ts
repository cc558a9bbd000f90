import { budgetStepOf } from '../budgets';
import type { MarketLimits } from '../changes';
import { onceByForm } from '../matching';
import { refinementKey } from '../structure';
import { roundDownToStep } from '../units';
import { spreadBudget } from './budgets';
import { crossNegatives } from './crossNegatives';
import { nameBy } from './names';
import { PARTS } from './parts';
import type { PartName } from './parts';
import type { BuildPlan } from './plan';
import type { PlannedCampaign, PlannedTarget } from './planned';

/** A campaign before its name, budget and negatives are known. */
interface Bare {
  key: string;
  part: PartName;
  /** In its name, behind the part: a group, a number. */
  word: string;
  number: string;
  targets: PlannedTarget[];
}

/**
 * The campaigns that a plan makes, in the order of its parts: each with its name, budget, targets and the negatives that keep the parts apart.
 * @param limits of its market: budgets stand on their step
 */
export function campaignsOf(plan: BuildPlan, limits: Pick<MarketLimits, 'bidStep'>): PlannedCampaign[] {
  const step = budgetStepOf(limits);
  const bare = PARTS.flatMap(({ name }) => (plan.parts[name].isOn ? ofPart(plan, name) : []));
  const budgets = spreadBudget(
    plan.total,
    bare.map(({ key }) => plan.budgets[key] ?? null),
    step,
  );
  const campaigns = bare.map(({ key, part, word, number, targets }, at): PlannedCampaign => {
    const { code, purpose, source, pattern } = plan;
    const made = nameBy(pattern, { code, purpose, source, part: word, number });
    return {
      key,
      part,
      name: plan.names[key] ?? made,
      budget: budgets[at],
      isBudgetSet: plan.budgets[key] !== undefined,
      defaultBid: plan.parts[part].bid,
      fields: { ...plan.settings, ...plan.own[key] },
      adGroupBudget:
        plan.adGroupShare === null ? null : roundDownToStep(budgets[at] * plan.adGroupShare, step),
      targets,
      negatives: [],
    };
  });
  const negatives = crossNegatives(campaigns, plan.uncrossed);
  return campaigns.map((campaign, at) => ({ ...campaign, negatives: negatives[at] }));
}

function ofPart(plan: BuildPlan, part: PartName): Bare[] {
  if (part === 'auto') return ofGroups(plan);
  const targets = targetsOf(plan, part);
  if (targets.length === 0 && !plan.parts[part].isEmpty) return [];
  if (part !== 'exact' || plan.mostKeywords === null)
    return [{ key: part, part, word: WORDS[part], number: '', targets }];
  const parted = partedByNumber(targets, Math.max(1, plan.mostKeywords));
  return parted.map(([number, own]) => ({
    key: `${part} ${number}`,
    part,
    word: WORDS[part],
    number: parted.length === 1 && number === 1 ? '' : String(number),
    targets: own,
  }));
}

/** Keywords parted over numbered campaigns: those that stand in one stay there, the others fill what has room, then new ones. */
function partedByNumber(targets: readonly PlannedTarget[], most: number): [number, PlannedTarget[]][] {
  const numbers = new Map<number, PlannedTarget[]>();
  const put = (number: number, target: PlannedTarget) =>
    numbers.set(number, [...(numbers.get(number) ?? []), target]);
  const numberIn = ({ home }: PlannedTarget) => Number(/^exact (\d+)$/.exec(home ?? '')?.[1] ?? 0);
  for (const target of targets) if (numberIn(target) > 0) put(numberIn(target), target);
  let number = 1;
  for (const target of targets) {
    if (numberIn(target) > 0) continue;
    while ((numbers.get(number)?.length ?? 0) >= most) number += 1;
    put(number, target);
  }
  if (numbers.size === 0) numbers.set(1, []);
  return [...numbers].sort(([a], [b]) => a - b);
}

/** What a part is called in a campaign's name. */
const WORDS: Record<PartName, string> = {
  auto: 'auto',
  broad: 'broad',
  phrase: 'phrase',
  exact: 'exact',
  rivals: 'rivals',
  own: 'defence',
  categories: 'categories',
  brands: 'brands',
};

function ofGroups(plan: BuildPlan): Bare[] {
  const { bid, isEmpty } = plan.parts.auto;
  const targets = plan.groups.flatMap((group, at): PlannedTarget[] =>
    group.isOn
      ? [
          {
            ...NO_REFINEMENT,
            kind: 'auto',
            match: null,
            expression: group.name,
            bid: group.bid ?? bid,
            at: `groups.${at}`,
          },
        ]
      : [],
  );
  if (targets.length === 0 && !isEmpty) return [];
  if (!plan.groupsApart || targets.length < 2)
    return [{ key: 'auto', part: 'auto', word: WORDS.auto, number: '', targets }];
  return targets.map((target) => ({
    key: `auto ${target.expression}`,
    part: 'auto',
    word: `${WORDS.auto} ${target.expression}`,
    number: '',
    targets: [target],
  }));
}

const NO_REFINEMENT = { refine: null, against: null } as const;

/** What a part bids on: terms that match alike count once, the first of them. */
function targetsOf(plan: BuildPlan, part: Exclude<PartName, 'auto'>): PlannedTarget[] {
  const { bid } = plan.parts[part];
  const listed = ((): PlannedTarget[] => {
    switch (part) {
      case 'broad':
      case 'phrase':
      case 'exact':
        return plan.terms.flatMap(({ text, matches, bids, home }, at) =>
          matches.includes(part)
            ? [
                {
                  ...NO_REFINEMENT,
                  kind: 'keyword' as const,
                  match: part,
                  expression: text,
                  bid: bids[part] ?? bid,
                  at: `terms.${at}`,
                  ...(home !== undefined && { home }),
                },
              ]
            : [],
        );
      case 'rivals':
      case 'own':
        return plan.items.flatMap((item, at) =>
          item.isOwn === (part === 'own')
            ? [
                {
                  ...NO_REFINEMENT,
                  kind: 'item' as const,
                  match: null,
                  expression: item.code,
                  bid: item.bid ?? bid,
                  at: `items.${at}`,
                },
              ]
            : [],
        );
      case 'categories':
      case 'brands':
        return plan.refined.flatMap(({ aim, name, refine, against, bid: own }, at) =>
          aim === (part === 'brands' ? 'brand' : 'category')
            ? [
                {
                  kind: aim,
                  match: null,
                  expression: name,
                  refine,
                  against,
                  bid: own ?? bid,
                  at: `refined.${at}`,
                },
              ]
            : [],
        );
    }
  })();
  return onceByForm(
    listed,
    ({ expression }) => expression,
    ({ refine }) => refinementKey(refine),
  );
}
