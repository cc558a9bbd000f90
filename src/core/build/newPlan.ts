import { USUAL_CAMPAIGN } from '../changes';
import type { MarketLimits } from '../changes';
import { roundDownToStep } from '../units';
import type { Micros } from '../units';
import type { PlanGround } from './ground';
import { USUAL_NAMES } from './names';
import { isOffered, PARTS } from './parts';
import type { PartName } from './parts';
import type { BuildPlan } from './plan';

/** What a plan begins with, beside what it is for. */
export interface PlanStart {
  productId: number;
  /** In its names: the SKU, or what stands for it. */
  code: string;
  /** The account's own pattern; null: as usual. */
  pattern: string | null;
  limits: MarketLimits;
  offers: PlanGround['offers'];
  /** The market's automatic groups. */
  groups: readonly string[];
  /** What a click of a part is worth, micros; null where it is too early to say. */
  worth: (part: PartName) => number | null;
  /** Share; null where none counts. */
  targetAcos: number | null;
  /** What clicks cost in the account, micros; null where there were none. */
  usualCpc: Micros | null;
  modifiers: { top: number; rest: number; pages: number };
  /** Own items that can be defended. */
  ownItems: readonly string[];
}

/** Exact keywords of a campaign, as long as nothing else is said. */
const USUAL_KEYWORDS = 5;
const USUAL_BUDGET = 10_000_000;

/** The bid at which a click pays at the target ACOS, on the market's step and within its limits. */
export function bidFor(
  worth: number | null,
  targetAcos: number | null,
  usualCpc: Micros | null,
  limits: MarketLimits,
): Micros {
  const wanted = worth !== null && targetAcos !== null ? worth * targetAcos : (usualCpc ?? limits.minBid);
  const bid = roundDownToStep(wanted, limits.bidStep);
  return Math.min(limits.maxBid, Math.max(limits.minBid, bid));
}

/** A plan as it begins: every part that the market offers is on, and bids what its clicks are worth. */
export function newPlan(start: PlanStart): BuildPlan {
  const { limits, offers, ownItems } = start;
  const parts = Object.fromEntries(
    PARTS.map((part) => [
      part.name,
      {
        isOn:
          isOffered(part, offers) && part.name !== 'brands' && (part.name !== 'own' || ownItems.length > 0),
        isEmpty: false,
        bid: bidFor(start.worth(part.name), start.targetAcos, start.usualCpc, limits),
      },
    ]),
  ) as BuildPlan['parts'];
  const on = PARTS.filter(({ name }) => parts[name].isOn).length;
  return {
    productId: start.productId,
    more: [],
    rule: null,
    pattern: start.pattern ?? USUAL_NAMES,
    code: start.code,
    purpose: '',
    source: '',
    parts,
    groups: start.groups.map((name) => ({ name, isOn: true, bid: null })),
    groupsApart: false,
    terms: [],
    items: ownItems.map((code) => ({ code, isOwn: true, bid: null })),
    refined: [],
    mostKeywords: USUAL_KEYWORDS,
    total: Math.max(USUAL_BUDGET, limits.minBudget) * on,
    budgets: {},
    names: {},
    settings: {
      ...USUAL_CAMPAIGN,
      budgetKind: offers.budgetKinds.includes('daily') ? 'daily' : (offers.budgetKinds[0] ?? 'daily'),
      ...start.modifiers,
    },
    own: {},
    adGroupShare: null,
    uncrossed: [],
  };
}

/** The same plan for another product: its terms, rivals and settings stay; code, own items and what was refined against the old one are the new one's. */
export function planLike(plan: BuildPlan, fresh: BuildPlan): BuildPlan {
  return {
    ...plan,
    productId: fresh.productId,
    more: [],
    rule: null,
    code: fresh.code,
    items: [...plan.items.filter(({ isOwn }) => !isOwn), ...fresh.items],
    refined: plan.refined.map((one) =>
      one.against === null ? one : { ...one, refine: null, against: null },
    ),
    names: {},
  };
}
