import { matchWords } from '../../../core/matching';
import type { Synonyms } from '../../../core/matching';
import { mixSeeds, seedOf, Stream } from '../chance/stream';
import type { Placement } from '../../../core/structure';
import type { Scenario } from '../scenario/scenario';
import { makeItemCode } from './itemCode';
import { ownVisits, queriesOf } from './queries';
import type { Query } from './query';

/** A product as the market lists it, and what only the market knows of it. */
export interface WorldProduct {
  id: string;
  lineId: string;
  itemCode: string;
  sku: string;
  name: string;
  /** Micros. */
  price: number;
  /** How much better or worse than at rest of search an ad of it sells at each placement. */
  sellsAt: Record<Placement, number>;
  /** Share of sold units that come back. */
  refundRate: number;
}

/** A rival's listing that shoppers look at: what item, category and brand targets aim at. */
export interface RivalItem {
  /** Upper case. */
  code: string;
  lineId: string;
  brand: string;
  /** Micros. */
  price: number;
  /** Stars, 1 to 5. */
  rating: number;
}

/** Everything about a scenario that no seller can change. */
export interface World {
  scenario: Scenario;
  lines: { id: string; name: string }[];
  products: WorldProduct[];
  queries: Query[];
  /** By item code in lower case: the text of its visits. */
  items: Map<string, RivalItem>;
  synonyms: Synonyms;
}

/** Builds the world of a scenario: the same from the same seed on every machine. */
export function buildWorld(scenario: Scenario): World {
  const names = [...new Set(scenario.products.map(({ line }) => line))];
  const lines = names.map((name, at) => ({ id: `L${101 + at}`, name }));
  const random = new Stream(mixSeeds(scenario.seed, seedOf('products')));
  const products = scenario.products.map((product, at): WorldProduct => ({
    id: `P${1001 + at}`,
    lineId: lines[names.indexOf(product.line)].id,
    itemCode: makeItemCode(random),
    sku: `${product.name
      .replace(/[^A-Za-z]/g, '')
      .slice(0, 3)
      .toUpperCase()}-${100 + at}`,
    name: product.name,
    price: Math.round(product.price * 1_000_000),
    sellsAt: sellsAt(scenario, random),
    refundRate: random.between(0.01, 0.07),
  }));
  const queries = scenario.products.flatMap((_, at) => queriesOf(scenario, at));
  if (scenario.itemQueries > 0)
    for (const [at, { itemCode }] of products.entries()) queries.push(ownVisits(scenario, at, itemCode));
  queries.forEach((query, at) => (query.index = at));
  return {
    scenario,
    lines,
    products,
    queries,
    items: rivalItems(scenario, products, queries),
    synonyms: synonymsOf(scenario),
  };
}

/** The same numbers are drawn whatever the nature, so that worlds differ in nothing else. */
function sellsAt({ nature }: Scenario, random: Stream): WorldProduct['sellsAt'] {
  const usual = { top: random.between(1.05, 1.5), rest: 1, pages: random.between(0.5, 0.95) };
  return nature?.flatPlacements ? { top: 1, rest: 1, pages: 1 } : usual;
}

function rivalItems(scenario: Scenario, products: WorldProduct[], queries: Query[]): World['items'] {
  const items: World['items'] = new Map();
  for (const query of queries) {
    if (query.kind !== 'item') continue;
    const random = new Stream(mixSeeds(scenario.seed, seedOf(query.text)));
    const { lineId, price } = products[query.product];
    items.set(query.text, {
      code: query.text.toUpperCase(),
      lineId,
      brand: random.pick(scenario.rivals),
      price: Math.round((price / 10_000) * random.between(0.6, 1.6)) * 10_000,
      rating: Math.round(random.between(2.6, 5) * 10) / 10,
    });
  }
  return items;
}

function synonymsOf({ synonyms }: Scenario): Synonyms {
  return new Map(
    synonyms.flatMap(([first, ...others]) =>
      others.map((word) => [matchWords(word)[0], matchWords(first)[0]] as const),
    ),
  );
}
