import { newPlan } from '../../src/core/build';
import type { BuildPlan, PlanGround, PlanTerm } from '../../src/core/build';
import { USUAL_LIMITS } from '../../src/core/changes';
import { PLACEMENTS } from '../../src/core/structure';

export const OFFERS: PlanGround['offers'] = {
  matches: ['exact', 'phrase', 'broad'],
  productTargets: true,
  modifiers: PLACEMENTS,
  bidFlex: true,
  budgetKinds: ['daily', 'lifetime'],
  mostKeywords: 1000,
  mostNegatives: 1000,
  adGroupBudgets: false,
  similarCategories: false,
};

/** A plan for a crock (product 1) with its own lid (product 2) to defend; every part bids 0.40. */
export const aPlan = (over: Partial<BuildPlan> = {}): BuildPlan => ({
  ...newPlan({
    productId: 1,
    code: 'CRO-100',
    pattern: null,
    limits: USUAL_LIMITS,
    offers: OFFERS,
    groups: ['near searches', 'wide searches', 'rival items', 'companion items'],
    worth: () => 2_000_000,
    targetAcos: 0.2,
    usualCpc: 300_000,
    modifiers: { top: 0, rest: 0, pages: 0 },
    ownItems: ['B0LID00001'],
  }),
  total: 60_000_000,
  ...over,
});

export const aTerm = (text: string, matches: PlanTerm['matches'] = ['exact']): PlanTerm => ({
  text,
  matches,
  bids: {},
});

export const aGround = (over: Partial<PlanGround> = {}): PlanGround => ({
  limits: USUAL_LIMITS,
  offers: OFFERS,
  today: '2026-11-23',
  products: new Map([
    [1, { name: 'Crock', margin: 0.4, itemCode: 'B0CROCK001' }],
    [2, { name: 'Lid', margin: 0.42, itemCode: 'B0LID00001' }],
  ]),
  taken: new Set(),
  lines: new Set(['Vessels']),
  exactIn: () => null,
  negativeIn: () => null,
  unwanted: () => null,
  ...over,
});
