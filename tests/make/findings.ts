import { findAll, sumsBy } from '../../src/core/findings';
import type { CaughtTerm, FoundSums, Given } from '../../src/core/findings';
import { KEYWORD_MATCHES } from '../../src/core/matching';
import type { Route } from '../../src/core/routes';
import { indexStructure, indexTree } from '../../src/core/structure';
import type { AccountTree, Negative, Target } from '../../src/core/structure';

const PLACE = {
  startsOn: null,
  endsOn: null,
  flex: null,
  pacing: null,
  similar: null,
  top: 0,
  rest: 0,
  pages: 0,
};
export const campaign = (id: number, name: string, over: object = {}) => ({
  ...PLACE,
  id,
  name,
  state: 'enabled' as const,
  budget: 10e6,
  budgetKind: 'daily' as const,
  ...over,
});
export const adGroup = (id: number, campaignId: number, productId = 1) => ({
  id,
  campaignId,
  name: `group ${id}`,
  state: 'enabled' as const,
  productId,
  defaultBid: 400_000,
  budget: null,
  startsOn: null,
  endsOn: null,
});
export const target = (id: number, adGroupId: number, over: Partial<Target> = {}): Target => ({
  id,
  adGroupId,
  kind: 'keyword',
  match: 'exact',
  expression: `word ${id}`,
  bid: 400_000,
  state: 'enabled',
  ...over,
});
export const product = (id: number, margin: number | null = 0.4) => ({
  id,
  itemCode: `B00000000${id}`,
  name: `Product ${id}`,
  lineId: null,
  price: 20e6,
  margin,
  rating: null,
  stock: null,
});
export const did = (spend: number, orders = 1): FoundSums => ({
  impressions: 1000,
  clicks: Math.max(1, spend),
  orders,
  spend: spend * 1e6,
  sales: orders * 20e6,
});

export interface World {
  campaigns?: AccountTree['campaigns'];
  adGroups?: AccountTree['adGroups'];
  targets: Target[];
  products?: AccountTree['products'];
  negatives?: Negative[];
  did?: Record<number, FoundSums>;
  terms?: Omit<CaughtTerm, 'termId' | 'form'>[];
  routes?: Route[];
  naming?: Given['naming'];
  refined?: Given['refined'];
  leastBid?: Given['leastBid'];
  offers?: Given['offers'];
  sets?: Given['sets'];
}

/** Looks through a small structure, a window of 30 days, a month as long. */
export function found(world: World, kind: string) {
  const tree: AccountTree = {
    today: '2026-11-23',
    campaigns: world.campaigns ?? [campaign(1, 'Crock – auto'), campaign(2, 'Crock – exact')],
    adGroups: world.adGroups ?? [adGroup(10, 1), adGroup(20, 2)],
    targets: world.targets,
    products: world.products ?? [product(1)],
    lines: [],
    goals: [],
    accountAcos: 0.25,
    funds: null,
    lists: { own: [], rival: [], never: [] } as never,
    lastChanges: [],
  };
  const given: Given = {
    structure: indexStructure({ ...tree, negatives: world.negatives ?? [] }),
    index: indexTree(tree),
    sums: sumsBy(Object.entries(world.did ?? {}).map(([id, sums]) => ({ targetId: Number(id), ...sums }))),
    terms: (world.terms ?? []).map((one, at) => ({ ...one, termId: at + 1, form: one.text })),
    routes: world.routes ?? [],
    perMonth: 1,
    days: 30,
    naming: world.naming ?? null,
    refined: world.refined ?? [],
    offers: world.offers ?? { matches: KEYWORD_MATCHES, productTargets: true },
    leastBid: world.leastBid ?? (() => null),
    sets: world.sets ?? [],
  };
  return findAll(given).filter((one) => one.kind === kind);
}

export const auto = (id: number, adGroupId = 10) =>
  target(id, adGroupId, { kind: 'auto', match: null, expression: 'near searches' });
