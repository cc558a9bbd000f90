import { keywordIndex } from '../../../core/matching';
import { RIVAL_SPREAD } from './auction';
import type { SimTarget } from '../seller/books';
import type { Query } from '../world/query';
import type { World } from '../world/world';

/** What the market suggests to bid, micros. */
export interface BidSuggestion {
  low: number;
  bid: number;
  high: number;
}

/** A search term or item code worth a target, with its rough volume. */
export interface TargetSuggestion {
  kind: 'keyword' | 'item';
  expression: string;
  weeklySearches: number;
}

/** Standings at which the suggested range begins and ends: winning 3 and 7 of 10. */
const RANGE = 0.5244;

/**
 * The bid that wins half of rest of search among the queries a target would catch, weighted by their volume, and the
 * range that wins three to seven of ten. Null where the market knows no such query.
 */
export function suggestBid(
  world: World,
  target: Pick<SimTarget, 'kind' | 'match' | 'expression'>,
  product: number,
): BidSuggestion | null {
  if (world.scenario.options.clickPrice !== null) return null;
  const queries = caughtBy(world, target, product);
  const volume = queries.reduce((sum, query) => sum + query.volume, 0);
  if (volume === 0) return null;
  const mean = queries.reduce((sum, query) => sum + query.volume * Math.log(query.rivalBid), 0) / volume;
  const step = world.scenario.limits.bidStep;
  const at = (standing: number) =>
    Math.max(
      world.scenario.limits.minBid,
      Math.round(Math.exp(mean + RIVAL_SPREAD * standing) / step) * step,
    );
  return { low: at(-RANGE), bid: at(0), high: at(RANGE) };
}

/** A world's queries by product and by text: a large one has half a million. */
interface Sorted {
  byProduct: Map<number, Query[]>;
  byText: Map<string, Query[]>;
}
const sorted = new WeakMap<World, Sorted>();

function queriesOf(world: World): Sorted {
  let known = sorted.get(world);
  if (!known) {
    known = { byProduct: new Map(), byText: new Map() };
    for (const query of world.queries) {
      putIn(known.byProduct, query.product, query);
      putIn(known.byText, query.text, query);
    }
    sorted.set(world, known);
  }
  return known;
}

function putIn<K>(lists: Map<K, Query[]>, key: K, query: Query): void {
  const list = lists.get(key);
  if (list) list.push(query);
  else lists.set(key, [query]);
}

function caughtBy(
  world: World,
  { kind, match, expression }: Pick<SimTarget, 'kind' | 'match' | 'expression'>,
  product: number,
): Query[] {
  const { byProduct, byText } = queriesOf(world);
  const ofProduct = byProduct.get(product) ?? [];
  if (kind === 'keyword') {
    const index = keywordIndex([{ match: match!, expression }], world.synonyms);
    return ofProduct.filter((query) => !query.isVisit && index.caughtBy(query.words).length > 0);
  }
  if (kind === 'item') return byText.get(expression.toLowerCase()) ?? [];
  if (kind === 'auto' && /search/.test(expression)) return ofProduct.filter((query) => !query.isVisit);
  return ofProduct.filter((query) => query.kind === 'item');
}

/** Queries around a product that the market thinks fit, most searched first; without what is targeted already. */
export function suggestTargets(
  world: World,
  product: number,
  known: ReadonlySet<string>,
  most: number,
): TargetSuggestion[] {
  const usual = world.scenario.products[product].conversion;
  return (queriesOf(world).byProduct.get(product) ?? [])
    .filter((query) => !known.has(query.words.join(' ')))
    .filter(
      ({ kind, conversion }) =>
        (kind === 'core' || kind === 'tail' || kind === 'item') && conversion > usual * 0.3,
    )
    .sort((a, b) => b.volume - a.volume)
    .slice(0, most)
    .map(({ kind, text, volume }) => ({
      kind: kind === 'item' ? ('item' as const) : ('keyword' as const),
      expression: kind === 'item' ? text.toUpperCase() : text,
      weeklySearches: Math.max(5, Math.round((volume * 7) / 5) * 5),
    }));
}
