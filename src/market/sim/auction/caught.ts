import { isBlocked, keywordIndex, negativeSet } from '../../../core/matching';
import type { IndexedKeyword, KeywordIndex, NegativeSet } from '../../../core/matching';
import { seedOf } from '../chance/stream';
import type { AutoGroup, Books, SimAd, SimAdGroup, SimCampaign, SimTarget } from '../seller/books';
import type { Query } from '../world/query';
import type { RivalItem, World } from '../world/world';

/** A live target with everything the auction asks of it. */
export interface Player {
  target: SimTarget;
  adGroup: SimAdGroup;
  campaign: SimCampaign;
  /** Index in the world of the product whose ad is shown. */
  product: number;
  /** Micros. */
  bid: number;
  /** How often its ad is clicked, as a multiple of one that shows the product's own title and picture. */
  appeal: number;
  /** Index of the campaign in `Field.campaigns`, and of the player itself. */
  at: number;
  index: number;
}

/** The seller's live targets on one day, ready to be asked which of them a query calls up. */
export interface Field {
  campaigns: SimCampaign[];
  players: Player[];
  /** The players that a query calls up, by index: in each campaign the one with the highest bid. */
  calledUpBy: (query: Query) => Int32Array;
}

/** Share of stray and foreign searches that broad matching also reaches for: where much of the waste comes from. */
const BROAD_REACH = 0.3;
/** Share of a neighbouring product's searches that automatic targeting also takes. */
const LINE_REACH = 0.2;

/** Prepares the seller's books for a day: what is paused, archived, ended or without an ad does not play. */
export function prepareField(world: World, books: Books, day: string): Field {
  const campaigns = books.campaigns.filter(
    ({ state, startsOn, endsOn }) =>
      state === 'enabled' && startsOn <= day && (endsOn === null || endsOn >= day),
  );
  const players = livePlayers(world, books, campaigns, day);
  const inAdGroup = setsBy(books, (negative) => negative.adGroupId);
  const inCampaign = setsBy(books, (negative) => (negative.adGroupId === null ? negative.campaignId : null));
  const stops = (player: Player, form: string) => {
    const own = inAdGroup.get(player.adGroup.id);
    const wide = inCampaign.get(player.campaign.id);
    return (own !== undefined && isBlocked(form, own)) || (wide !== undefined && isBlocked(form, wide));
  };
  const finder = new Finder(world, players);
  const known: (Int32Array | undefined)[] = new Array(world.queries.length).fill(undefined);
  return {
    campaigns,
    players,
    calledUpBy: (query) => {
      let called = query.index < 0 ? undefined : known[query.index];
      if (called) return called;
      const form = query.words.join(' ');
      const best = new Map<number, Player>();
      for (const player of finder.find(query)) {
        const other = best.get(player.at);
        if ((other === undefined || player.bid > other.bid) && !stops(player, form))
          best.set(player.at, player);
      }
      called = Int32Array.from(best.values(), ({ index }) => index);
      if (query.index >= 0) known[query.index] = called;
      return called;
    },
  };
}

function livePlayers(world: World, books: Books, campaigns: SimCampaign[], day: string): Player[] {
  const campaignAt = new Map(campaigns.map(({ id }, at) => [id, at]));
  const adGroups = new Map(
    books.adGroups
      .filter(
        ({ state, campaignId, startsOn, endsOn }) =>
          state === 'enabled' &&
          campaignAt.has(campaignId) &&
          (startsOn === null || startsOn <= day) &&
          (endsOn === null || endsOn >= day),
      )
      .map((one) => [one.id, one]),
  );
  const productAt = new Map(world.products.map(({ id }, at) => [id, at]));
  const shown = new Map<string, { product: number; appeal: number }>();
  for (const ad of books.ads)
    if (ad.state === 'enabled' && !shown.has(ad.adGroupId))
      shown.set(ad.adGroupId, { product: productAt.get(ad.productId)!, appeal: appealOf(ad) });
  const players: Player[] = [];
  for (const target of books.targets) {
    const adGroup = adGroups.get(target.adGroupId);
    const ad = shown.get(target.adGroupId);
    if (target.state !== 'enabled' || !adGroup || !ad) continue;
    const at = campaignAt.get(adGroup.campaignId)!;
    const bid = world.scenario.options.clickPrice ?? target.bid ?? adGroup.defaultBid;
    players.push({ target, adGroup, campaign: campaigns[at], ...ad, bid, at, index: players.length });
  }
  return players;
}

/** Which titles and pictures shoppers like cannot be told beforehand: some are clicked less than the product's own, some more. */
function appealOf({ titles, pictures }: Pick<SimAd, 'titles' | 'pictures'>): number {
  if (titles.length + pictures.length === 0) return 1;
  const pairs = (titles.length > 0 ? titles : ['']).flatMap((title) =>
    (pictures.length > 0 ? pictures : ['']).map((picture) => `${title} ${picture}`),
  );
  return pairs.reduce((sum, pair) => sum + 0.85 + (0.35 * (seedOf(pair) % 1000)) / 1000, 0) / pairs.length;
}

function setsBy(
  books: Books,
  keyOf: (negative: Books['negatives'][number]) => string | null,
): Map<string, NegativeSet> {
  const groups = new Map<string, Books['negatives']>();
  for (const negative of books.negatives) {
    const key = negative.state === 'enabled' ? keyOf(negative) : null;
    if (key !== null) groups.set(key, [...(groups.get(key) ?? []), negative]);
  }
  return new Map([...groups].map(([key, group]) => [key, negativeSet(group)]));
}

type KeywordPlayer = Player & IndexedKeyword;

/** Finds which targets a query meets, without asking each. */
class Finder {
  private readonly keywords: KeywordIndex<KeywordPlayer>;
  private readonly byItem = new Map<string, Player[]>();
  private readonly byBrand = new Map<string, Player[]>();
  private readonly byCategory = new Map<string, Player[]>();
  private readonly autoByProduct = new Map<number, Player[]>();
  private readonly autoByLine = new Map<string, Player[]>();
  private readonly broadByProduct = new Map<number, Player[]>();

  constructor(
    private readonly world: World,
    players: Player[],
  ) {
    const keywords: KeywordPlayer[] = [];
    const lineIds = new Map(world.lines.map(({ id, name }) => [name.toLowerCase(), id]));
    for (const player of players) {
      const { kind, match, expression } = player.target;
      if (kind === 'keyword') {
        keywords.push({ ...player, match: match!, expression });
        if (match === 'broad') put(this.broadByProduct, player.product, player);
      } else if (kind === 'item') put(this.byItem, expression.toLowerCase(), player);
      else if (kind === 'brand') put(this.byBrand, expression.toLowerCase(), player);
      else if (kind === 'category')
        put(this.byCategory, lineIds.get(expression.toLowerCase()) ?? expression, player);
      else {
        put(this.autoByProduct, player.product, player);
        put(this.autoByLine, `${world.products[player.product].lineId} ${expression}`, player);
      }
    }
    this.keywords = keywordIndex(keywords, world.synonyms);
  }

  find(query: Query): Player[] {
    return query.isVisit ? this.findForVisit(query) : this.findForSearch(query);
  }

  private findForSearch(query: Query): Player[] {
    const found: Player[] = this.keywords.caughtBy(query.words);
    const broad = this.broadByProduct.get(query.product);
    if (broad && (query.kind === 'stray' || query.kind === 'rival brand') && query.coin < BROAD_REACH)
      found.push(broad[Math.floor(query.coin * 1e6) % broad.length]);
    return found.concat(
      this.findAuto(query, isNear(query) ? 'near searches' : 'wide searches', 'wide searches'),
    );
  }

  private findForVisit(query: Query): Player[] {
    const item = this.world.items.get(query.text);
    // The market's own groups do not set a seller beside itself: only who names the item stands there.
    if (!item) return this.byItem.get(query.text) ?? [];
    const fits = (player: Player) => fitsRefinement(player.target, item);
    return [
      ...(this.byItem.get(query.text) ?? []),
      ...(this.byBrand.get(item.brand.toLowerCase()) ?? []).filter(fits),
      ...(this.byCategory.get(item.lineId) ?? []).filter(fits),
      ...this.findAuto(query, query.coin < 0.6 ? 'rival items' : 'companion items', 'companion items'),
    ];
  }

  private findAuto(query: Query, own: AutoGroup, neighbours: AutoGroup): Player[] {
    const found = (this.autoByProduct.get(query.product) ?? []).filter(
      ({ target }) => target.expression === own,
    );
    if ((query.coin * 7) % 1 >= LINE_REACH || query.kind === 'own brand') return found;
    // One neighbour of the line, the same every day.
    const line = (
      this.autoByLine.get(`${this.world.products[query.product].lineId} ${neighbours}`) ?? []
    ).filter(({ product, campaign }) => product !== query.product && campaign.similar === 'on');
    return line.length === 0 ? found : [...found, line[Math.floor(query.coin * 1e6) % line.length]];
  }
}

const isNear = ({ kind, coin }: Query) =>
  kind === 'core' || kind === 'own brand' || (kind === 'tail' && coin < 0.7);

function fitsRefinement({ refine }: SimTarget, { price, rating }: RivalItem): boolean {
  if (refine === null) return true;
  return (
    price >= (refine.minPrice ?? 0) &&
    price <= (refine.maxPrice ?? Infinity) &&
    rating >= (refine.minRating ?? 0) &&
    rating <= (refine.maxRating ?? Infinity)
  );
}

function put<K, V>(map: Map<K, V[]>, key: K, value: V) {
  const list = map.get(key);
  if (list) list.push(value);
  else map.set(key, [value]);
}
