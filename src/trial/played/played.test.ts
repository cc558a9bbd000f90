import { describe, expect, test } from 'vitest';
import { USUAL_LIMITS } from '../../core/changes';
import { USUAL_GROWTH } from '../../core/growth';
import type { PlayLike } from '../../core/played';
import { USUAL_RULE } from '../../core/rules';
import type { Rule } from '../../core/rules';
import { doNothing } from '../policies';
import type { PlayedMarket } from '../playedMarket';
import type { Policy } from '../policies';
import { playScenario } from '../runTrial';
import { firstProductSums } from './figures';
import { growthPlay } from './growthPolicy';
import { likeScenario } from './likeScenario';
import { rulePolicy } from './rulePolicy';

const LIKE: PlayLike = {
  products: 2,
  targets: 24,
  price: 30_000_000,
  clicksPerDay: 40,
  conversion: 0.09,
  targetAcos: 0.22,
  limits: USUAL_LIMITS,
  matches: ['broad', 'phrase', 'exact'],
  modifiers: ['top', 'rest', 'pages'],
  autoGroups: ['near searches'],
};
const rule = (over: Partial<Rule> = {}): Rule => ({ ...USUAL_RULE, name: 'Played', work: 'bids', ...over });

describe('a market like a part of an account', { timeout: 240_000 }, () => {
  test('comes near the clicks and the orders that are asked for, whatever they are', () => {
    for (const asked of [LIKE, { ...LIKE, clicksPerDay: 12, conversion: 0.05 }]) {
      const { scenario, like } = likeScenario(asked, 501);
      expect(like.clicksPerDay / asked.clicksPerDay).toBeGreaterThan(0.6);
      expect(like.clicksPerDay / asked.clicksPerDay).toBeLessThan(1.6);
      expect(like.conversion / asked.conversion).toBeGreaterThan(0.6);
      expect(like.conversion / asked.conversion).toBeLessThan(1.6);
      expect(scenario.products.map(({ price }) => price)).toEqual([30, 30]);
    }
  });
});

describe('a rule that is played', { timeout: 240_000 }, () => {
  const { scenario } = likeScenario(LIKE, 502);
  const play = (policy: Policy) => playScenario(scenario, 2, policy, undefined, 1);

  test('does what it may and nothing else: with nothing it may do, the market is as without it', () => {
    const without = play(doNothing());
    expect(play(rulePolicy(rule({ most: { changes: 1, spend: 0 }, until: '2000-01-01' })))).toEqual(without);
    expect(play(rulePolicy(rule()))).not.toEqual(without);
  });

  test('keeps its bids between its bounds', () => {
    let seen: number[] = [];
    const inner = rulePolicy(rule({ bid: { low: 300_000, high: 700_000 }, step: { down: 0.9, up: 5 } }));
    play((market, memory) => {
      const before = market.books.targets.map(({ bid }) => bid);
      inner(market, memory);
      seen = seen.concat(
        market.books.targets.flatMap(({ bid }, at) => (bid !== before[at] && bid !== null ? [bid] : [])),
      );
    });
    expect(seen.length).toBeGreaterThan(5);
    expect(seen.every((bid) => bid >= 300_000 && bid <= 700_000)).toBe(true);
  });
});

/** What of a market's books a rule may change. */
const BOOKS = {
  bids: ({ books }: PlayedMarket) => books.targets.map(({ bid, state }) => [bid, state]),
  terms: ({ books }: PlayedMarket) => books.targets.map(({ expression, match }) => [expression, match]),
  negatives: ({ books }: PlayedMarket) => books.negatives.length,
  modifiers: ({ books }: PlayedMarket) => books.campaigns.map(({ modifiers }) => ({ ...modifiers })),
  budgets: ({ books }: PlayedMarket) => books.campaigns.map(({ budget }) => budget),
  schedules: ({ books }: PlayedMarket) => books.schedules.length,
};

test.each<[Rule['work'], Partial<Rule>, (keyof typeof BOOKS)[]]>([
  ['bids', {}, ['bids']],
  ['negatives', {}, ['negatives']],
  ['harvest', {}, ['bids', 'terms', 'negatives']],
  ['new terms', { newTerms: { market: true, campaigns: true, match: 'exact', most: 2 } }, ['bids', 'terms']],
  ['by hand', { hand: { conditions: ['clicks>=20'], percent: -0.1 } }, ['bids']],
  ['placements', {}, ['bids', 'modifiers']],
  ['budgets', {}, ['budgets']],
])(
  'a rule for %s moves that and nothing else',
  (work, over, moved) => {
    const { scenario } = likeScenario({ ...LIKE, clicksPerDay: 150 }, 504);
    const changed = new Set<string>();
    const policy = rulePolicy(rule({ work, ...over, ...(work === 'by hand' && { waitDays: 5 }) }));
    const weeks = playScenario(
      scenario,
      3,
      (market, memory) => {
        const all = Object.entries(BOOKS) as [keyof typeof BOOKS, (market: PlayedMarket) => unknown][];
        const before = all.map(([, read]) => JSON.stringify(read(market)));
        policy(market, memory);
        all.forEach(([key, read], at) => JSON.stringify(read(market)) !== before[at] && changed.add(key));
      },
      undefined,
      1,
    );
    expect([...changed].sort()).toEqual([...moved].sort());
    expect(weeks[2].clicks).toBeGreaterThan(0);
  },
  240_000,
);

test('a growth plan that is played makes, tries and moves up, and its budgets never come to more than its total', () => {
  const { scenario } = likeScenario(LIKE, 503, true);
  const growth = { ...USUAL_GROWTH, total: 50_000_000 };
  const { policy, moves } = growthPlay(
    rule({ work: 'growth', scope: { kind: 'product', id: 1 }, target: { low: 0.17, high: 0.22 }, growth }),
    true,
  );
  const sums: number[] = [];
  const watched: Policy = (market, memory) => {
    policy(market, memory);
    const own = market.books.campaigns.filter(({ id }) => id.startsWith('M'));
    sums.push(own.reduce((sum, { budget }) => sum + budget, 0));
  };
  const weeks = playScenario(scenario, 4, watched, undefined, 1, firstProductSums);
  expect(Math.max(...sums)).toBeLessThanOrEqual(growth.total);
  expect(moves.some(({ words }) => words.startsWith('made “automatic”'))).toBe(true);
  expect(moves.some(({ words }) => words.includes('moved up'))).toBe(true);
  expect(weeks[3].sales).toBeGreaterThan(0);
  // The product had no campaign before: without the plan nothing is spent on it.
  expect(playScenario(scenario, 1, doNothing(), undefined, 7, firstProductSums)[0].spend).toBe(0);
}, 240_000);
