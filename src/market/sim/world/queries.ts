import { matchWords } from '../../../core/matching';
import { mixSeeds, seedOf, Stream } from '../chance/stream';
import type { Scenario, ScenarioProduct } from '../scenario/scenario';
import { makeItemCode } from './itemCode';
import type { Query, QueryKind } from './query';

const FILLERS = [
  'best',
  'buy',
  'cheap',
  'new',
  'original',
  'good',
  'quality',
  'small batch',
  'home',
  'kitchen',
  'eco',
  'gift',
];
const STRAY_ENDINGS = [
  '',
  'diy',
  'recipe',
  'ideas',
  'set',
  'used',
  'near me',
  'how to',
  'replacement',
  'for kids',
  'wholesale',
  'meaning',
];
/** How much a rival pays for a click of each kind, against what the product's own shopper is worth at the usual target. */
const CONTEST: Record<QueryKind, number> = {
  core: 1.1,
  tail: 0.8,
  stray: 0.55,
  'own brand': 0.5,
  'rival brand': 0.9,
  item: 0.6,
  'own item': 0.5,
  unseen: 0.65,
};

type Draft = Pick<Query, 'text' | 'kind' | 'volume' | 'clickRate' | 'conversion'>;

/** Makes the queries around one product: heavy-tailed volumes, from the head word down to searches made once a month. */
export function queriesOf(scenario: Scenario, index: number): Query[] {
  const product = scenario.products[index];
  const random = new Stream(mixSeeds(scenario.seed, seedOf(product.name)));
  const drafts = [
    ...coreQueries(scenario, product, random),
    ...brandQueries(scenario, product, random),
    ...tailQueries(scenario, product, random),
    ...strayQueries(scenario, product, random),
    ...itemQueries(scenario, product, random),
    ...longQueries(product),
  ];
  const seen = new Set<string>();
  const own = drafts.filter(({ text }) => !seen.has(text) && seen.add(text));
  const queries = own.map((draft) => finish(scenario, index, draft, random));
  const worthless = scenario.nature?.worthless ?? 0;
  return queries.map((query) =>
    query.kind === 'tail' && query.coin < worthless ? { ...query, conversion: 0 } : query,
  );
}

/** Adds what every query has: its words, a rival's bid, a coin. */
export function finish(scenario: Scenario, index: number, draft: Draft, random: Stream): Query {
  const { price, conversion } = scenario.products[index];
  const worth = price * 1_000_000 * conversion * scenario.targetAcos;
  return {
    index: -1,
    ...draft,
    words: matchWords(draft.text),
    product: index,
    rivalBid: worth * CONTEST[draft.kind] * Math.exp(random.normal() * 0.3),
    coin: random.next(),
    isVisit: draft.kind === 'item' || draft.kind === 'own item',
  };
}

/**
 * Visits to the listing of a seller's own product, which its other products can stand beside. They are no searches: nothing unpaid comes of them.
 */
export function ownVisits(scenario: Scenario, index: number, itemCode: string): Query {
  const random = new Stream(mixSeeds(scenario.seed, seedOf(`visits ${itemCode}`)));
  const draft: Draft = {
    text: itemCode.toLowerCase(),
    kind: 'own item',
    volume: scenario.headVolume * 0.6,
    clickRate: random.between(0.015, 0.03),
    conversion: scenario.products[index].conversion,
  };
  return finish(scenario, index, draft, random);
}

function coreQueries({ headVolume }: Scenario, product: ScenarioProduct, random: Stream): Draft[] {
  const texts = product.heads.flatMap((head) => [
    head,
    `${random.pick(product.qualities)} ${head}`,
    `${head} ${random.pick(product.uses)}`,
  ]);
  return texts.map((text, rank) => ({
    text,
    kind: 'core',
    volume: headVolume / (rank + 1) ** 0.85,
    clickRate: random.between(0.018, 0.038),
    conversion: product.conversion * random.between(0.75, 1.45),
  }));
}

function brandQueries(
  { brand, rivals, headVolume }: Scenario,
  product: ScenarioProduct,
  random: Stream,
): Draft[] {
  const own: Draft = {
    text: `${brand} ${product.heads[0]}`.toLowerCase(),
    kind: 'own brand',
    volume: headVolume * 0.08,
    clickRate: 0.09,
    conversion: Math.min(0.4, product.conversion * 2.2),
  };
  return [
    own,
    ...rivals.map((rival, rank): Draft => ({
      text: `${rival} ${random.pick(product.heads)}`.toLowerCase(),
      kind: 'rival brand',
      volume: (headVolume * 0.12) / (rank + 1),
      clickRate: random.between(0.006, 0.014),
      conversion: product.conversion * random.between(0.25, 0.6),
    })),
  ];
}

function tailQueries(
  { tailQueries, headVolume }: Scenario,
  product: ScenarioProduct,
  random: Stream,
): Draft[] {
  return Array.from({ length: tailQueries }, (_, rank) => ({
    text: tailText(product, random),
    kind: 'tail' as const,
    volume: (headVolume * 0.09) / (rank + 3) ** 0.8,
    clickRate: random.between(0.012, 0.045),
    conversion: Math.min(0.5, product.conversion * Math.exp(random.normal() * 0.7 - 0.45)),
  }));
}

/** A search of several words around a product; now and then misspelt. */
export function tailText(product: ScenarioProduct, random: Stream): string {
  const words = [random.pick(product.heads)];
  if (random.next() < 0.75) words.unshift(random.pick(product.qualities));
  if (random.next() < 0.3) words.unshift(random.pick(FILLERS));
  if (random.next() < 0.45) words.push(random.pick(product.uses));
  if (random.next() < 0.2) words.push(random.pick(product.qualities));
  const text = words.join(' ');
  return random.next() < 0.08 ? misspell(text, random).replace(/ +/g, ' ').trim() : text;
}

function misspell(text: string, random: Stream): string {
  const at = 1 + random.below(text.length - 2);
  const middle = random.next() < 0.5 ? '' : text.slice(at - 1, at + 1);
  return (
    text.slice(0, middle === '' ? at : at - 1) + middle.split('').reverse().join('') + text.slice(at + 1)
  );
}

function strayQueries({ headVolume }: Scenario, product: ScenarioProduct, random: Stream): Draft[] {
  return product.strays.flatMap((stray, rank) =>
    STRAY_ENDINGS.map((ending, at) => ({
      text: `${stray} ${ending}`.trim(),
      kind: 'stray' as const,
      volume: (headVolume * (at === 0 ? 0.9 : 0.3 / (at + 1))) / (rank + 1) ** 0.5,
      clickRate: random.between(0.012, 0.03),
      conversion: random.next() < 0.12 ? product.conversion * 0.25 : 0.0008,
    })),
  );
}

function itemQueries(
  { itemQueries, headVolume }: Scenario,
  product: ScenarioProduct,
  random: Stream,
): Draft[] {
  return Array.from({ length: itemQueries }, (_, rank) => ({
    text: makeItemCode(random).toLowerCase(),
    kind: 'item' as const,
    volume: (headVolume * 0.4) / (rank + 2) ** 0.9,
    clickRate: random.between(0.008, 0.02),
    conversion: rank % 3 === 0 ? product.conversion * random.between(0.6, 1.2) : product.conversion * 0.12,
  }));
}

/** What somebody types who pastes a whole title: it sells, but no market takes it as a keyword. */
function longQueries(product: ScenarioProduct): Draft[] {
  const { heads, qualities, uses, price, conversion } = product;
  if (price > 30 || qualities.length < 4 || uses.length < 2) return [];
  const text = `${heads[0]} ${qualities[0]} ${qualities[1]} ${uses[0]} ${uses[1]} with ${qualities[2]} and ${qualities[3]} original`;
  return [{ text, kind: 'tail', volume: 9, clickRate: 0.06, conversion: conversion * 1.3 }];
}
