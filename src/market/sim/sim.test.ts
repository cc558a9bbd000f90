import { beforeAll, describe, expect, test } from 'vitest';
import { addDays } from '../../core/units';
import {
  buildWorld,
  firstState,
  PLACEMENTS,
  prepareField,
  setUpSeller,
  simulateDay,
  smallScenario,
  suggestBid,
} from '.';
import type { Books, DayFacts, Figures, Scenario, SimState, World } from '.';

const scenario = smallScenario();
const FIRST = addDays(scenario.today, -scenario.days);
let world: World;
beforeAll(() => {
  world = buildWorld(scenario);
});

/** Plays some days of a seller whose books were changed first. */
function play(change: (books: Books) => void = () => {}, days = 8, over: Partial<Scenario> = {}) {
  const own = Object.keys(over).length === 0 ? world : buildWorld({ ...scenario, ...over });
  const books = setUpSeller(own);
  change(books);
  const field = prepareField(own, books, FIRST);
  const state: SimState = firstState(own);
  const facts: DayFacts[] = [];
  for (let at = 0; at < days; at += 1)
    facts.push(simulateDay(own, field, books.schedules, state, addDays(FIRST, at)));
  return { facts, state, books };
}

const total = <T extends Figures>(rows: T[], key: keyof Figures) =>
  rows.reduce((sum, row) => sum + row[key], 0);
const all = <T>(facts: DayFacts[], of: (day: DayFacts) => T[]) => facts.flatMap(of);
const bidOf = (books: Books) => {
  const defaults = new Map(books.adGroups.map(({ id, defaultBid }) => [id, defaultBid]));
  return new Map(books.targets.map((one) => [one.id, one.bid ?? defaults.get(one.adGroupId)!]));
};

describe('a day on the market', () => {
  test('is the same for the same seed, and another for another', () => {
    expect(play().facts).toEqual(play().facts);
    expect(play(undefined, 2, { seed: 99 }).facts).not.toEqual(play(undefined, 2).facts);
  });

  test('adds up the same by term, by target and placement, by campaign and hour', () => {
    for (const { terms, targets, hours } of play().facts)
      for (const key of ['impressions', 'clicks', 'spend', 'orders', 'sales'] as const) {
        expect(total(targets, key)).toBe(total(terms, key));
        expect(total(hours, key)).toBe(total(terms, key));
      }
  });

  test('tells a term of a target once, also when it is typed around two products', () => {
    for (const { terms } of play(undefined, 8, { unseenShare: 0.2 }).facts) {
      const keys = terms.map(({ targetId, term }) => `${targetId} ${term}`);
      expect(new Set(keys).size).toBe(keys.length);
    }
  });

  test('has no more clicks than impressions, and charges less than the bid', () => {
    const { facts, books } = play((own) =>
      own.campaigns.forEach((one) =>
        Object.assign(one, { flex: 'fixed', modifiers: { top: 0, rest: 0, pages: 0 } }),
      ),
    );
    const bids = bidOf(books);
    for (const { targetId, impressions, clicks, spend } of all(facts, ({ terms }) => terms)) {
      expect(clicks).toBeLessThanOrEqual(impressions);
      expect(spend).toBeLessThanOrEqual(clicks * bids.get(targetId)!);
    }
  });

  test('has searches that nobody made before', () => {
    const { facts } = play(undefined, 8, { unseenShare: 0.1 });
    const known = new Set(world.queries.map(({ text }) => text));
    const unseen = all(facts, ({ terms }) => terms).filter(({ term }) => !known.has(term));
    expect(unseen.length).toBeGreaterThan(20);
    expect(new Set(unseen.map(({ term }) => term)).size).toBeGreaterThan(unseen.length * 0.9);
  });
});

describe('the market obeys', () => {
  const top = (books: Books) => {
    const { facts } = play();
    const spent = new Map<string, number>();
    for (const row of all(facts, ({ terms }) => terms))
      spent.set(row.targetId, (spent.get(row.targetId) ?? 0) + row.spend);
    const [id] = [...spent].sort((a, b) => b[1] - a[1])[0];
    return books.targets.find((one) => one.id === id)!;
  };
  const of = (facts: DayFacts[], targetId: string) =>
    all(facts, ({ targets }) => targets).filter((one) => one.targetId === targetId);

  test('a raised bid: more impressions, a higher CPC, more of them at the top', () => {
    let id = '';
    const withBid = (factor: number) => {
      const { facts } = play((books) => {
        const target = top(books);
        id = target.id;
        target.bid = Math.round((bidOf(books).get(id)! * factor) / 10_000) * 10_000;
        books.campaigns.forEach((one) => (one.budget *= 20));
      }, 14);
      const rows = of(facts, id);
      const atTop = rows.filter(({ placement }) => placement === 'top');
      return {
        impressions: total(rows, 'impressions'),
        cpc: total(rows, 'spend') / total(rows, 'clicks'),
        top: total(atTop, 'impressions') / total(rows, 'impressions'),
      };
    };
    const [low, high] = [withBid(0.6), withBid(1.6)];
    expect(high.impressions).toBeGreaterThan(1.2 * low.impressions);
    expect(high.cpc).toBeGreaterThan(1.1 * low.cpc);
    expect(high.top).toBeGreaterThan(low.top);
  });

  test('a negative: the term is gone from that ad group', () => {
    const auto = play().books.adGroups.find(({ name }) => name === 'auto')!;
    const own = new Set(
      play()
        .books.targets.filter(({ adGroupId }) => adGroupId === auto.id)
        .map(({ id }) => id),
    );
    const termsIn = (facts: DayFacts[]) =>
      all(facts, ({ terms }) => terms).filter(({ targetId }) => own.has(targetId));
    const { term } = termsIn(play().facts).sort((a, b) => b.impressions - a.impressions)[0];
    const { facts } = play((books) =>
      books.negatives.push({
        id: 'N1',
        campaignId: auto.campaignId,
        adGroupId: auto.id,
        match: 'exact',
        expression: term.toUpperCase(),
        state: 'enabled',
      }),
    );
    expect(termsIn(facts).filter((row) => row.term === term)).toEqual([]);
    expect(termsIn(facts).length).toBeGreaterThan(0);
  });

  test('a budget that runs out: no ads for the rest of the day, and no more spent than it held', () => {
    const { facts, books } = play((own) =>
      own.campaigns.forEach((one) => Object.assign(one, { budget: 3_000_000, pacing: 'fast' })),
    );
    const { campaigns } = books;
    let dry = 0;
    for (const { hours } of facts)
      for (const { id } of campaigns) {
        const mine = hours.filter(({ campaignId }) => campaignId === id);
        expect(total(mine, 'spend')).toBeLessThanOrEqual(3_000_000);
        // Shoppers search until midnight: a campaign without an ad from nine in the evening on has run dry.
        if (total(mine, 'spend') > 2_500_000 && Math.max(...mine.map(({ hour }) => hour)) < 21) dry += 1;
      }
    expect(dry).toBeGreaterThan(3);
  });

  test('even pacing: a small budget lasts longer than a fast one', () => {
    const lastHour = (pacing: 'even' | 'fast') => {
      const { facts } = play((own) =>
        own.campaigns.forEach((one) => Object.assign(one, { budget: 4_000_000, pacing })),
      );
      const spent = all(facts, ({ hours }) => hours).filter(({ spend }) => spend > 0);
      return spent.reduce((sum, { hour, spend }) => sum + hour * spend, 0) / total(spent, 'spend');
    };
    expect(lastHour('even')).toBeGreaterThan(lastHour('fast') + 0.5);
  });

  test('paused, ended and scheduled-off campaigns show nothing then', () => {
    const { facts } = play((books) => {
      books.campaigns[0].state = 'paused';
      books.campaigns[1].endsOn = addDays(FIRST, -1);
      books.schedules.push({
        id: 'S1',
        campaignId: books.campaigns[2].id,
        name: 'evenings',
        week: Array.from({ length: 168 }, (_, cell) => (cell % 24 < 18 ? -100 : 0)),
        state: 'enabled',
      });
    });
    const hours = all(facts, (day) => day.hours);
    const { campaigns } = play().books;
    expect(hours.filter(({ campaignId }) => [campaigns[0].id, campaigns[1].id].includes(campaignId))).toEqual(
      [],
    );
    const third = hours.filter(({ campaignId }) => campaignId === campaigns[2].id).map(({ hour }) => hour);
    expect(Math.min(...third)).toBe(18);
  });

  test('prepaid funds: when they are gone nothing is shown any more', () => {
    const { facts, state } = play(undefined, 6, { funds: 20_000_000 });
    expect(state.funds).toBeGreaterThanOrEqual(0);
    expect(
      total(
        all(facts, ({ terms }) => terms),
        'spend',
      ),
    ).toBe(20_000_000 - state.funds!);
    expect(facts.at(-1)!.terms).toEqual([]);
  });
});

describe('orders', () => {
  const { facts } = (() => {
    world = buildWorld(scenario);
    return play(undefined, 40);
  })();
  const now = total(
    all(facts, ({ terms }) => terms),
    'orders',
  );
  const late = facts.flatMap((day) => day.late.map((one) => ({ ...one, day: day.day })));

  test('come late: about 60 % on the day, all within two weeks', () => {
    const share = now / (now + late.length);
    expect(share).toBeGreaterThan(0.5);
    expect(share).toBeLessThan(0.7);
    for (const { day, arrives } of late) {
      expect(arrives > day).toBe(true);
      expect(arrives <= addDays(day, 14)).toBe(true);
    }
  });

  test('of a product are more than those of its ads: some come without; some come back', () => {
    const sold = all(facts, ({ products }) => products);
    const orders = sold.reduce((sum, one) => sum + one.orders, 0);
    expect(orders).toBeGreaterThan(1.1 * now);
    expect(sold.reduce((sum, one) => sum + one.refundedUnits, 0)).toBeGreaterThan(0);
  });

  test('lift the rank of what they were searched by', () => {
    const rankAfter = (change: (books: Books) => void) => {
      const ranks = play(change, 30).facts.at(-1)!.ranks;
      return ranks.reduce((sum, { rank }) => sum + Math.log(rank), 0);
    };
    const without = rankAfter((books) => books.campaigns.forEach((one) => (one.state = 'paused')));
    const withAds = rankAfter((books) => books.campaigns.forEach((one) => (one.budget *= 5)));
    expect(withAds).toBeLessThan(without);
  });
});

test('better placements are dearer and clicked more', () => {
  const targets = all(play(undefined, 20).facts, (day) => day.targets);
  const [topOf, rest] = PLACEMENTS.map((placement) => targets.filter((one) => one.placement === placement));
  expect(total(topOf, 'spend') / total(topOf, 'clicks')).toBeGreaterThan(
    total(rest, 'spend') / total(rest, 'clicks'),
  );
  expect(total(topOf, 'clicks') / total(topOf, 'impressions')).toBeGreaterThan(
    total(rest, 'clicks') / total(rest, 'impressions'),
  );
});

test('the suggested bid wins about half of the slots it is suggested for', () => {
  const [query] = world.queries.filter(({ kind }) => kind === 'core');
  const suggestion = suggestBid(
    world,
    { kind: 'keyword', match: 'exact', expression: query.text },
    query.product,
  )!;
  expect(suggestion.bid / query.rivalBid).toBeGreaterThan(0.9);
  expect(suggestion.bid / query.rivalBid).toBeLessThan(1.1);
  expect(
    suggestBid(world, { kind: 'keyword', match: 'exact', expression: 'nobody types this' }, query.product),
  ).toBeNull();
});
