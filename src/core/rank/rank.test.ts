import { describe, expect, test } from 'vitest';
import {
  atLeast,
  emptyPanel,
  LEAST_DAYS,
  moveOf,
  ORDERS_MORE,
  organicShare,
  ordersAt,
  rankEffect,
  rankEffectWords,
  rankReader,
  RANK_SWATHS,
  rankValue,
  rankWorth,
  standOver,
  USUAL_SHARE,
} from '.';
import type { OrganicWeek, RankEffect, RankPanel, RankRow } from '.';
import { arrangeRows, readAnyOf } from '../conditions';
import { steadyChance } from '../evidence';
import { NO_SUMS } from '../measures';

const [FADE, PER_ORDER] = [0.04, -0.06];

/** Ranks that follow ad orders by a law that is known: pairs with few orders, with many, and with none at all. */
function playedPanel({ lag, days = 120, pairs = 60, perOrder = PER_ORDER }: Law): RankPanel {
  const chance = steadyChance(9);
  const panel = emptyPanel(pairs, days);
  for (let pair = 0; pair < pairs; pair += 1) {
    const home = Math.log(40 + 60 * chance());
    const often = pair % 3 === 0 ? 0 : 0.1 + 0.5 * chance();
    let rank = home;
    for (let day = 0; day < days; day += 1) {
      const cell = pair * days + day;
      panel.orders[cell] = (chance() < often ? 1 : 0) + (chance() < often / 3 ? 1 : 0);
      panel.rank[cell] = Math.max(1, Math.round(10 * Math.exp(rank)) / 10);
      const counted = day >= lag ? panel.orders[cell - lag] : 0;
      rank += -FADE * (rank - home) + perOrder * counted + 0.02 * (chance() - 0.5);
    }
  }
  return panel;
}
interface Law {
  lag: number;
  days?: number;
  pairs?: number;
  perOrder?: number;
}

describe('what ad orders did to organic ranks', () => {
  test.each([0, 5, 12])('is found with its lag of %i days where it is there', (lag) => {
    const told = rankEffect(playedPanel({ lag }));
    if (told.verdict !== 'known') throw new Error(told.verdict);
    const truth = moveOf({ fade: FADE, perOrder: PER_ORDER }, ORDERS_MORE);
    expect(told.lag).toBe(lag);
    expect(told.moves[0]).toBeLessThan(truth * 0.95);
    expect(told.moves[1]).toBeGreaterThan(truth * 1.05);
    expect(Math.abs(told.move / truth - 1)).toBeLessThan(0.15);
    expect(rankEffectWords(told)).toMatch(/10 more ad orders a week bring rank 20 to about/);
  });

  test('is said to be nothing where orders move no rank, and too early where there are few days or few terms with ads', () => {
    const nothing = rankEffect(playedPanel({ lag: 0, perOrder: 0 }));
    expect(nothing.verdict).toBe('nothing');
    expect(rankEffectWords(nothing)).toContain('show no effect of ad orders on ranks');
    expect(rankEffect(playedPanel({ lag: 0, days: LEAST_DAYS - 1 })).verdict).toBe('early');
    const few = rankEffect(playedPanel({ lag: 0, pairs: 9 }));
    expect(few).toMatchObject({ verdict: 'early', pairs: 6 });
    expect(rankEffectWords(few)).toMatch(/^Too early to say/);
  });

  test('is taken from the pairs that say most of it where there are very many, and is found all the same', () => {
    const told = rankEffect(playedPanel({ lag: 2, days: 70, pairs: 2600 }));
    expect(told).toMatchObject({ verdict: 'known', lag: 2 });
  });

  test('is the same each time it is asked, gaps and days beyond the last page left out', () => {
    const panel = playedPanel({ lag: 3 });
    panel.rank.forEach((_, cell) => {
      if (cell % 17 === 0) panel.rank[cell] = NaN;
      if (cell % 29 === 0) panel.rank[cell] = 0;
    });
    const told = rankEffect(panel);
    expect(told).toMatchObject({ verdict: 'known', lag: 3 });
    expect(rankEffect(panel)).toEqual(told);
  });
});

describe('a rank over some days', () => {
  test('is their geometric mean; half of them beyond the last page is beyond it, and none told is not known', () => {
    expect(standOver([10, 40, NaN, 20], 0, 4)).toBe(20);
    expect(standOver([10, 0, 0, NaN], 0, 4)).toBe(0);
    expect(standOver([NaN, NaN], 0, 2)).toBeNull();
    expect(standOver([5, 5], -3, 1)).toBe(5);
  });

  test('beyond the last page counts for at least a place more than the worst that was told', () => {
    expect(atLeast(0, 96)).toBe(97);
    expect(atLeast(12, 96)).toBe(12);
  });
});

describe('what a rank brings without ads', () => {
  const law = { top: 0.3, slope: 1.2, own: 1 };
  const chance = steadyChance(4);
  const weeks = Array.from({ length: 16 * 8 }, (_, at): OrganicWeek => {
    const [product, week] = [at % 8, Math.floor(at / 8)];
    const terms = Array.from({ length: 6 }, (_, term) => ({
      searches: 800 + 300 * term,
      rank: 1 + Math.floor((2 + 3 * term) * (0.4 + chance())),
    }));
    const orders = terms.reduce(
      (sum, { searches, rank }) => sum + searches * law.top * rank ** -law.slope * 0.1,
      0,
    );
    return { product, week, orders: 40 + 5 * product + orders, conversion: 0.1, terms };
  });

  test('is fitted on the account, whatever else its products sell', () => {
    const told = organicShare(weeks);
    expect(told.slope).toBeCloseTo(law.slope, 1);
    expect(told.top).toBeCloseTo(law.top, 1);
    expect(told.own).toBeGreaterThan(0.9);
  });

  test('is what is usual where the account shows nothing: too few weeks, or ranks that never move', () => {
    expect(organicShare(weeks.filter(({ week }) => week < 3))).toEqual(USUAL_SHARE);
    const still = weeks.map((one) => ({ ...one, terms: [{ searches: 500, rank: 20 }] }));
    const told = organicShare(still);
    expect(told.top).toBeCloseTo(USUAL_SHARE.top, 9);
    expect(told.slope).toBe(USUAL_SHARE.slope);
  });

  test('is nothing beyond the last page', () => {
    expect(ordersAt(USUAL_SHARE, 0, 1000, 0.1)).toBe(0);
    expect(ordersAt(USUAL_SHARE, 1, 700, 0.1)).toBeCloseTo(60, 9);
  });
});

const KNOWN: RankEffect = {
  verdict: 'known',
  days: 120,
  pairs: 30,
  lag: 0,
  lags: [0, 0],
  move: moveOf({ fade: FADE, perOrder: PER_ORDER }, ORDERS_MORE),
  moves: [-3, -1],
  fade: FADE,
  perOrder: PER_ORDER,
};
const TERM = {
  rank: 20,
  weeklySearches: 700,
  ordersAWeek: 2,
  conversion: 0.1,
  clickPrice: 500_000,
  orderValue: 20e6,
};

describe('what a rank is worth', () => {
  test('holding it costs what its ads cost; without their orders it falls, and organic sales with it', () => {
    const { organic, holds } = rankWorth(TERM, USUAL_SHARE, KNOWN, 96);
    // 3,000 searches a month x 0.2 / 20 x 10 % x 20 each.
    expect(organic).toBeCloseTo(60e6, 0);
    const fallen = 20 * Math.exp(-moveOf(KNOWN, 2));
    expect(holds).toBeCloseTo(60e6 * (1 - 20 / fallen), 0);
    const beyond = rankWorth({ ...TERM, ordersAWeek: 20 }, USUAL_SHARE, KNOWN, 96);
    expect(beyond.holds).toBe(beyond.organic);
  });

  test('half the number costs the orders that bring it there, at the price of a click by conversion, and doubles what it sells', () => {
    const { gainCost, gains } = rankWorth(TERM, USUAL_SHARE, KNOWN, 96);
    const ordersAWeek = (ORDERS_MORE * Math.LN2) / -moveOf(KNOWN, ORDERS_MORE);
    expect(gainCost).toBeCloseTo(((ordersAWeek * 30) / 7) * 5e6, 0);
    expect(gains).toBeCloseTo(60e6, 0);
  });

  test('is not told where it cannot be known: no effect found, no rank told, no price of an order, or the top reached', () => {
    const early: RankEffect = { verdict: 'early', days: 10, pairs: 3 };
    expect(rankWorth(TERM, USUAL_SHARE, early, 96)).toMatchObject({
      holds: null,
      gainCost: null,
      gains: null,
    });
    expect(rankWorth({ ...TERM, rank: null }, USUAL_SHARE, KNOWN, 96).organic).toBeNull();
    expect(rankWorth({ ...TERM, orderValue: null }, USUAL_SHARE, KNOWN, 96).organic).toBeNull();
    expect(rankWorth({ ...TERM, rank: 1 }, USUAL_SHARE, KNOWN, 96)).toMatchObject({
      gainCost: null,
      gains: null,
    });
  });
});

describe('the list', () => {
  const row = (term: string, over: Partial<RankRow>): RankRow => ({
    productId: 1,
    product: 'Crock',
    line: 'Vessels',
    termId: 1,
    term,
    rank: 20,
    rankBefore: 20,
    weeklySearches: 100,
    sums: { ...NO_SUMS },
    before: { ...NO_SUMS },
    spendAMonth: 0,
    isCore: false,
    home: null,
    acceptedUntil: null,
    organic: null,
    holds: null,
    gainCost: null,
    gains: null,
    ...over,
  });
  const spend = (micros: number) => ({ ...NO_SUMS, spend: micros });
  const rows = [
    row('fell by itself', { rank: 30, sums: spend(10e6), before: spend(10e6), spendAMonth: 10e6 }),
    row('fell after a cut', { rank: 0, sums: spend(1e6), before: spend(10e6), spendAMonth: 1e6 }),
    row('holds alone', { rank: 21 }),
    row('pays', { holds: 50e6, sums: spend(10e6), spendAMonth: 10e6, gains: 30e6, gainCost: 20e6 }),
    row('never told', { rank: null }),
  ];
  const named = (key: string) => {
    const stack = RANK_SWATHS.find((one) => one.key === key)!.conditions.map((text) => readAnyOf(text)!);
    const all = Int32Array.from(rows, (_, at) => at);
    return Array.from(arrangeRows(rankReader(rows, 96), all, stack, []), (at) => rows[at].term);
  };

  test('has the stacks that are asked for again and again', () => {
    expect(named('losing')).toEqual(['fell by itself', 'fell after a cut']);
    expect(named('cut')).toEqual(['fell after a cut']);
    expect(named('alone')).toEqual(['holds alone']);
    expect(named('defend')).toEqual(['pays']);
    expect(named('cheap')).toEqual(['pays']);
  });

  test('counts a term beyond the last page as worse than all that were told, and never as rank 0', () => {
    expect(rankValue('rank.now', rows[1], 96)).toBe(97);
    expect(rankValue('rank.up', rows[1], 96)).toBe(-77);
    expect(rankValue('rank.now', rows[4], 96)).toBeNull();
  });

  test('tells no move of ads where the days before are not all known', () => {
    const cut = { ...rows[1], before: null };
    expect(rankValue('rank.spendChange', cut, 96)).toBeNull();
    expect(rankValue('d.spend', cut, 96)).toBeNull();
    expect(rankValue('d.spend', rows[1], 96)).toBe(-9e6);
  });
});
