import { isBlocked, matchForm, negativeSet } from '../matching';
import type { KeywordMatch, NegativeSet } from '../matching';
import { groupBy } from '../order';
import type { AdGroup, Campaign, Negative, Structure, Target } from './structure';

/** What the engines ask of a structure, answered without searching it again. */
export interface StructureIndex {
  /** As they were given, archived ones too. */
  adGroups: readonly AdGroup[];
  targets: readonly Target[];
  negatives: readonly Negative[];
  campaign: (id: number) => Campaign | undefined;
  adGroup: (id: number) => AdGroup | undefined;
  target: (id: number) => Target | undefined;
  /** Live exact keywords and item targets whose expression is this term (in match form), anywhere in the account. */
  exactTargets: (form: string) => Target[];
  /** Whether an ad group has a live keyword of these words (in match form); broad match passes over their order. */
  hasKeyword: (adGroupId: number, match: KeywordMatch, form: string) => boolean;
  /** Whether the term (in match form) is already negative in the ad group or its campaign. */
  isNegativeIn: (form: string, adGroup: AdGroup) => boolean;
  /** Live negatives that stop a term (in match form), wherever they stand. */
  negativesOn: (form: string) => Negative[];
  /** Whether a term (in match form) is negative in a whole campaign. */
  isNegativeInCampaign: (form: string, campaignId: number) => boolean;
  /** Ad groups of a product that run and look for terms: all with targets but the homes. Null: those whose product is not known. */
  researchAdGroups: (productId: number | null) => AdGroup[];
  /** Whether words are looked for in an ad group: not where it bids on items and categories alone. */
  takesWords: (adGroupId: number) => boolean;
  /** Ad groups that bid on known words only (exact keywords), and on known items only. */
  wordHomes: AdGroup[];
  itemHomes: AdGroup[];
  /** Ad groups without a target, drafts among them: they may become any home. */
  emptyAdGroups: AdGroup[];
  /** Ad groups that bid on items among other things. */
  itemPlaces: AdGroup[];
}

/** Kinds of targets that are shown beside items, not for words. */
const ITEM_KINDS: ReadonlySet<Target['kind']> = new Set(['item', 'category', 'brand']);

/** Builds the index; linear in the size of the structure. Archived things count as gone. */
export function indexStructure(structure: Structure): StructureIndex {
  const campaigns = new Map(structure.campaigns.map((campaign) => [campaign.id, campaign]));
  const adGroups = new Map(structure.adGroups.map((adGroup) => [adGroup.id, adGroup]));
  const targets = new Map(structure.targets.map((target) => [target.id, target]));
  const live = structure.targets.filter((target) => target.state !== 'archived');
  const byAdGroup = groupBy(live, (target) => target.adGroupId);
  const negatives = structure.negatives.filter((negative) => negative.state !== 'archived');
  const ofAdGroup = negativeSets(negatives, (negative) => negative.adGroupId);
  const ofCampaign = negativeSets(
    negatives.filter((negative) => negative.adGroupId === null),
    (negative) => negative.campaignId,
  );
  const homes = (kind: 'keyword' | 'item') =>
    structure.adGroups.filter((adGroup) => {
      const own = byAdGroup.get(adGroup.id) ?? [];
      const campaign = campaigns.get(adGroup.campaignId);
      if (adGroup.state === 'archived' || campaign?.state === 'archived') return false;
      return own.length > 0 && own.every((target) => isExactTarget(target) && target.kind === kind);
    });
  const [wordHomes, itemHomes] = [homes('keyword'), homes('item')];
  const isHome = new Set([...wordHomes, ...itemHomes].map(({ id }) => id));
  const research = groupBy(
    structure.adGroups.filter(
      ({ id, state, campaignId }) =>
        !isHome.has(id) &&
        state === 'enabled' &&
        campaigns.get(campaignId)?.state === 'enabled' &&
        (byAdGroup.get(id) ?? []).length > 0,
    ),
    ({ productId }) => productId,
  );
  // Prepared when they are first asked for: most who index a structure never do.
  let exact: Map<string, Target[]> | undefined;
  let keywords: Set<string> | undefined;
  let prepared: { negative: Negative; set: NegativeSet }[] | undefined;
  const blocks = (set: NegativeSet | undefined, form: string) => set !== undefined && isBlocked(form, set);
  return {
    adGroups: structure.adGroups,
    targets: structure.targets,
    negatives: structure.negatives,
    campaign: (id) => campaigns.get(id),
    adGroup: (id) => adGroups.get(id),
    target: (id) => targets.get(id),
    exactTargets: (form) =>
      (exact ??= groupBy(live.filter(isExactTarget), (target) => matchForm(target.expression))).get(form) ??
      [],
    hasKeyword: (adGroupId, match, form) =>
      (keywords ??= keywordKeys(live)).has(keywordKey(adGroupId, match, form)),
    isNegativeIn: (form, adGroup) =>
      blocks(ofAdGroup.get(adGroup.id), form) || blocks(ofCampaign.get(adGroup.campaignId), form),
    negativesOn: (form) => {
      prepared ??= negatives.map((negative) => ({ negative, set: negativeSet([negative]) }));
      return prepared.filter(({ set }) => isBlocked(form, set)).map(({ negative }) => negative);
    },
    takesWords: (id) => (byAdGroup.get(id) ?? []).some(({ kind }) => !ITEM_KINDS.has(kind)),
    isNegativeInCampaign: (form, campaignId) => blocks(ofCampaign.get(campaignId), form),
    wordHomes,
    itemHomes,
    emptyAdGroups: structure.adGroups.filter(
      ({ id, state, campaignId }) =>
        state !== 'archived' && campaigns.get(campaignId)?.state !== 'archived' && !byAdGroup.has(id),
    ),
    itemPlaces: structure.adGroups.filter(
      ({ id, state }) =>
        state !== 'archived' && (byAdGroup.get(id) ?? []).some(({ kind }) => kind === 'item'),
    ),
    researchAdGroups: (productId) => research.get(productId) ?? [],
  };
}

/** Whether a target names exactly one search term: an exact keyword or a single item. */
export function isExactTarget(target: Target): boolean {
  return target.kind === 'item' || (target.kind === 'keyword' && target.match === 'exact');
}

/** What sets a target apart from its neighbours: the match of a keyword, the name of an automatic target, else its kind. */
export const targetForm = ({
  kind,
  match,
  expression,
}: Pick<Target, 'kind' | 'match' | 'expression'>): string => match ?? (kind === 'auto' ? expression : kind);

const keywordKeys = (live: readonly Target[]): Set<string> =>
  new Set(
    live.flatMap(({ kind, match, adGroupId, expression }) =>
      kind === 'keyword' && match ? [keywordKey(adGroupId, match, matchForm(expression))] : [],
    ),
  );

const keywordKey = (adGroupId: number, match: KeywordMatch, form: string): string =>
  `${adGroupId} ${match} ${match === 'broad' ? form.split(' ').sort().join(' ') : form}`;

function negativeSets(negatives: Negative[], keyOf: (negative: Negative) => number | null) {
  const groups = groupBy(negatives, keyOf);
  return new Map([...groups].map(([key, group]) => [key, negativeSet(group)]));
}
