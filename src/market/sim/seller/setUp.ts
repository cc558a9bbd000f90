import { addDays } from '../../../core/units';
import type { KeywordMatch } from '../../../core/matching';
import { mixSeeds, seedOf, Stream } from '../chance/stream';
import type { Query } from '../world/query';
import type { World } from '../world/world';
import type { Books, SimCampaign, SimTarget, TargetKind } from './books';

/** Counts up ids: "C1001", "G1002" … */
function idMaker() {
  let last = 1000;
  return (prefix: string) => `${prefix}${(last += 1)}`;
}

/**
 * What the seller has set up on the first day: for each product a campaign of automatic targets, one of broad and phrase
 * keywords, one of exact keywords, one of items and categories, as far as the market offers them. Bids are near what a
 * click is worth, with the usual errors; some budgets are too small; half of what sells is nowhere exact yet.
 */
export function setUpSeller(world: World): Books {
  const books: Books = { campaigns: [], adGroups: [], ads: [], targets: [], negatives: [], schedules: [] };
  const newId = idMaker();
  const byProduct = groupQueries(world);
  world.products.forEach((_, index) => {
    if (!world.scenario.products[index].isNew) new SetUp(world, books, index, byProduct[index], newId).run();
  });
  return books;
}

function groupQueries({ products, queries }: World): Query[][] {
  const groups: Query[][] = products.map(() => []);
  for (const query of queries) groups[query.product].push(query);
  return groups;
}

class SetUp {
  private readonly random: Stream;

  constructor(
    private readonly world: World,
    private readonly books: Books,
    private readonly index: number,
    private readonly queries: Query[],
    private readonly newId: (prefix: string) => string,
  ) {
    this.random = new Stream(mixSeeds(world.scenario.seed, seedOf(world.products[index].id)));
  }

  run() {
    const { scenario } = this.world;
    const exact = this.exactTexts();
    this.auto(exact);
    if (scenario.options.matches.includes('phrase')) this.research();
    const home = this.campaign('exact', 0.9);
    for (const text of exact) this.target(home, 'keyword', 'exact', text);
    if (scenario.options.productTargets) this.items();
  }

  private exactTexts(): string[] {
    const count = Math.round(this.world.scenario.targetsPerProduct * 0.45);
    const texts = this.queries
      .filter(({ kind }) => kind === 'core' || kind === 'tail')
      .map(({ text }) => text);
    return texts
      .filter((text, rank) => rank % 2 === 0 && text.length <= this.world.scenario.limits.maxLength)
      .slice(0, count);
  }

  private auto(exact: string[]) {
    const group = this.campaign('auto', 1.1);
    for (const expression of this.world.scenario.options.autoGroups)
      this.target(group, 'auto', null, expression);
    this.negative(group, 'phrase', 'used');
    for (const expression of exact.slice(0, Math.round(exact.length * 0.4)))
      this.negative(group, 'exact', expression);
  }

  private research() {
    const { heads, qualities } = this.world.scenario.products[this.index];
    const group = this.campaign('research', 1);
    const left =
      Math.round(this.world.scenario.targetsPerProduct * 0.3) - heads.length - Math.ceil(heads.length / 2);
    const isBroad = this.world.scenario.options.matches.includes('broad');
    if (isBroad) for (const head of heads) this.target(group, 'keyword', 'broad', head);
    for (const head of isBroad ? heads.slice(0, Math.ceil(heads.length / 2)) : heads)
      this.target(group, 'keyword', 'phrase', head);
    const pairs = qualities.flatMap((quality) => heads.slice(0, 3).map((head) => `${quality} ${head}`));
    pairs
      .slice(0, Math.max(0, left))
      .forEach((text, at) =>
        this.target(group, 'keyword', isBroad && at % 3 === 0 ? 'broad' : 'phrase', text),
      );
  }

  private items() {
    const { scenario, products, lines } = this.world;
    const group = this.campaign('items', 0.8);
    const codes = this.queries.filter(({ kind }) => kind === 'item').map(({ text }) => text.toUpperCase());
    for (const code of codes.slice(0, Math.round(scenario.targetsPerProduct * 0.2)))
      this.target(group, 'item', null, code);
    this.target(group, 'category', null, lines.find(({ id }) => id === products[this.index].lineId)!.name, {
      maxPrice: Math.round(products[this.index].price / 10_000) * 15_000,
    });
    this.target(group, 'brand', null, scenario.rivals[this.index % scenario.rivals.length]);
  }

  /** A campaign of one ad group. @param spend how much it would spend, against the seller's other campaigns */
  private campaign(role: string, spend: number): { campaign: SimCampaign; adGroupId: string } {
    const { world, random, newId } = this;
    const { scenario } = world;
    const { price } = scenario.products[this.index];
    const campaign: SimCampaign = {
      id: newId('C'),
      name: `${scenario.products[this.index].name.split(',')[0]} – ${role}`,
      state: 'enabled',
      budget:
        Math.max(
          3,
          Math.round(scenario.headVolume * 0.008 * Math.sqrt(price) * spend * random.between(0.5, 3.2)),
        ) * 1_000_000,
      budgetKind: 'daily',
      pacing: random.next() < 0.7 ? 'even' : 'fast',
      flex: scenario.options.bidFlex ? random.pick(['fixed', 'down only', 'both ways'] as const) : 'fixed',
      similar: 'on',
      startsOn: addDays(scenario.today, -scenario.days),
      endsOn: null,
      modifiers: {
        top:
          scenario.options.modifiers.includes('top') && random.next() < 0.4
            ? random.pick([0.1, 0.2, 0.3, 0.5])
            : 0,
        rest: 0,
        pages:
          scenario.options.modifiers.includes('pages') && random.next() < 0.15 ? random.pick([0.1, 0.25]) : 0,
      },
    };
    const adGroupId = newId('G');
    this.books.campaigns.push(campaign);
    this.books.adGroups.push({
      id: adGroupId,
      campaignId: campaign.id,
      name: role,
      state: 'enabled',
      defaultBid: this.bid(),
      // Where ad groups can have a part of the budget, some have one.
      budget:
        scenario.options.adGroupBudgets && role === 'research'
          ? Math.round((campaign.budget * 0.8) / 1_000_000) * 1_000_000
          : null,
      startsOn: null,
      endsOn: null,
    });
    this.books.ads.push({
      id: newId('A'),
      adGroupId,
      productId: world.products[this.index].id,
      titles: [],
      pictures: [],
      state: 'enabled',
    });
    return { campaign, adGroupId };
  }

  private bid(): number {
    const { clickPrice } = this.world.scenario.options;
    if (clickPrice !== null) return clickPrice;
    const { price, conversion } = this.world.scenario.products[this.index];
    const { limits, targetAcos } = this.world.scenario;
    const wanted = price * 1_000_000 * conversion * targetAcos * this.random.between(0.75, 2.1);
    return Math.max(limits.minBid, Math.round(wanted / limits.bidStep) * limits.bidStep);
  }

  private target(
    { adGroupId }: { adGroupId: string },
    kind: TargetKind,
    match: KeywordMatch | null,
    expression: string,
    refine: SimTarget['refine'] = null,
  ) {
    const { books, random, newId } = this;
    const own = random.next() < 0.85 && this.world.scenario.options.clickPrice === null;
    const target: SimTarget = {
      id: newId('T'),
      adGroupId,
      kind,
      match,
      expression,
      refine,
      bid: own ? this.bid() : null,
      state: 'enabled',
    };
    if (random.next() < 0.03) target.state = 'paused';
    books.targets.push(target);
  }

  private negative(
    place: { campaign: SimCampaign; adGroupId: string },
    match: 'exact' | 'phrase',
    expression: string,
  ) {
    this.books.negatives.push({
      id: this.newId('N'),
      campaignId: place.campaign.id,
      adGroupId: place.adGroupId,
      match,
      expression,
      state: 'enabled',
    });
  }
}
