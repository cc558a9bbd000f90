import type { Goal } from '../goals';
import { goalFinder } from '../goals';
import type { WordLists } from '../matching';
import type { AdGroup, Campaign, Target } from './structure';
import type { Day, Micros } from '../units';

/** A campaign with what can be set on it. Modifiers are shares: 0.5 raises a bid by half. */
export interface CampaignNode extends Campaign {
  budget: Micros | null;
  budgetKind: 'daily' | 'lifetime' | null;
  flex: string | null;
  pacing: string | null;
  similar: string | null;
  /** Its first and last day; null: not known, or without an end. */
  startsOn: Day | null;
  endsOn: Day | null;
  top: number;
  rest: number;
  pages: number;
  /** False where nobody told its modifiers: they count as 0, and are not moved from there. */
  modifiersKnown?: boolean;
}

export interface AdGroupNode extends AdGroup {
  defaultBid: Micros | null;
  /** A part of its campaign's budget, and days of its own; null where it has none. */
  budget: Micros | null;
  startsOn: Day | null;
  endsOn: Day | null;
}

export interface ProductNode {
  id: number;
  itemCode: string;
  name: string;
  lineId: number | null;
  price: Micros | null;
  /** Left of its price before ads, share; null where costs are missing. */
  margin: number | null;
  /** Stars, and pieces at hand; null where the market does not tell. */
  rating: number | null;
  stock: number | null;
}

/** What was last changed from here, and on which of the account's days. */
export interface LastChange {
  entity: 'target' | 'campaign' | 'ad-group';
  id: number;
  day: Day;
}

/** Everything of an account that its figures hang on. */
export interface AccountTree {
  today: Day;
  campaigns: CampaignNode[];
  adGroups: AdGroupNode[];
  targets: Target[];
  products: ProductNode[];
  lines: { id: number; name: string }[];
  goals: Goal[];
  accountAcos: number;
  /** Prepaid money left, micros; null where the market bills afterwards. */
  funds: Micros | null;
  /** Words that tell brands, and what is never wanted. */
  lists: WordLists;
  lastChanges: LastChange[];
}

/** Where a row hangs in the tree; 0 where it has no such thing. */
export interface Place {
  targetId: number;
  adGroupId: number;
  campaignId: number;
  productId: number;
  lineId: number;
}

/** A tree with its nodes by id. */
export interface TreeIndex {
  tree: AccountTree;
  campaigns: ReadonlyMap<number, CampaignNode>;
  adGroups: ReadonlyMap<number, AdGroupNode>;
  targets: ReadonlyMap<number, Target>;
  products: ReadonlyMap<number, ProductNode>;
  lines: ReadonlyMap<number, string>;
  /** The one product that a campaign's ad groups advertise; 0 for none or several. */
  productOfCampaign: ReadonlyMap<number, number>;
  placeOfTarget: (id: number) => Place;
  placeOfAdGroup: (id: number) => Place;
  placeOfCampaign: (id: number) => Place;
  placeOfProduct: (id: number) => Place;
  /** Target ACOS and margin that count for a place, null where they are not known; and whose target it is. */
  aimOf: (place: Place) => Aim;
  /** Whether a campaign runs: enabled, within its dates, and money is left. */
  campaignRuns: (id: number) => boolean;
  /** Day of the last change of the thing itself; undefined for never. */
  changedOn: (entity: LastChange['entity'], id: number) => Day | undefined;
}

/** What is aimed at somewhere. */
export interface Aim {
  acos: number | null;
  /** The range that it may move in; both the same for a value. */
  low: number | null;
  high: number | null;
  margin: number | null;
  goal: Pick<Goal, 'scope' | 'scopeId'>;
}

const NOWHERE: Place = { targetId: 0, adGroupId: 0, campaignId: 0, productId: 0, lineId: 0 };

/** Prepares a tree for look-ups; linear in its size. */
export function indexTree(tree: AccountTree): TreeIndex {
  const byId = <T extends { id: number }>(list: T[]) => new Map(list.map((one) => [one.id, one]));
  const [campaigns, adGroups, targets, products] = [
    byId(tree.campaigns),
    byId(tree.adGroups),
    byId(tree.targets),
    byId(tree.products),
  ];
  const productOfCampaign = new Map<number, number>();
  for (const { campaignId, productId } of tree.adGroups) {
    const known = productOfCampaign.get(campaignId);
    const own = productId ?? 0;
    productOfCampaign.set(campaignId, known === undefined || known === own ? own : 0);
  }
  const lineOf = (productId: number) => products.get(productId)?.lineId ?? 0;
  const placeOfAdGroup = (id: number): Place => {
    const adGroup = adGroups.get(id);
    if (!adGroup) return NOWHERE;
    const productId = adGroup.productId ?? 0;
    return {
      targetId: 0,
      adGroupId: id,
      campaignId: adGroup.campaignId,
      productId,
      lineId: lineOf(productId),
    };
  };
  const find = goalFinder(tree.goals, tree.accountAcos);
  const aims = new Map<number, Aim>();
  const orNull = (id: number) => (id === 0 ? null : id);
  const changed = new Map(tree.lastChanges.map(({ entity, id, day }) => [`${entity} ${id}`, day]));
  return {
    tree,
    campaigns,
    adGroups,
    targets,
    products,
    lines: new Map(tree.lines.map(({ id, name }) => [id, name])),
    productOfCampaign,
    placeOfAdGroup,
    placeOfTarget: (id) => ({ ...placeOfAdGroup(targets.get(id)?.adGroupId ?? 0), targetId: id }),
    placeOfCampaign: (id) => {
      const productId = productOfCampaign.get(id) ?? 0;
      return { ...NOWHERE, campaignId: id, productId, lineId: lineOf(productId) };
    },
    placeOfProduct: (id) => ({ ...NOWHERE, productId: id, lineId: lineOf(id) }),
    aimOf: (place) => {
      // A target aims where its ad group does: found once for all of them.
      const known = aims.get(place.adGroupId);
      if (known && place.adGroupId !== 0) return known;
      const margin = products.get(place.productId)?.margin ?? null;
      const { acos, low, high, goal } = find(
        {
          lineId: orNull(place.lineId),
          productId: orNull(place.productId),
          campaignId: orNull(place.campaignId),
          adGroupId: orNull(place.adGroupId),
        },
        margin,
      );
      const aim = { acos, low, high, margin, goal };
      aims.set(place.adGroupId, aim);
      return aim;
    },
    campaignRuns: (id) => {
      const campaign = campaigns.get(id);
      if (!campaign || campaign.state !== 'enabled' || tree.funds === 0) return false;
      const { startsOn, endsOn } = campaign;
      return (startsOn === null || startsOn <= tree.today) && (endsOn === null || endsOn >= tree.today);
    },
    changedOn: (entity, id) => (changed.size === 0 ? undefined : changed.get(`${entity} ${id}`)),
  };
}
