import { describe, expect, test } from 'vitest';
import { settings, someTargets } from '../../../tests/make/bids';
import { prepareBids } from './prepareBids';
import { meanPrice, shadeOf } from './priceRule';
import { proposeBids } from './proposeBids';

const MANY = Array.from({ length: 20 }, () => ({ clicks: 8, orders: 24, bid: 0.5 }));

/** Targets whose clicks cost so much of their bid, at a bid that never moved. */
const costing = (share: number) => someTargets(MANY.map((one) => ({ ...one, cpc: 0.5 * share })));

describe('what sets the price of a click', () => {
  test('is the next bidder where clicks cost what a second-price auction would make of the bid', () => {
    const usual = meanPrice(2.4)(1);
    expect(prepareBids(costing(usual)).price).toMatchObject({ gamma: 0, targets: 20 });
    expect(prepareBids(costing(1)).price.gamma).toBeCloseTo(1, 1);
    expect(prepareBids(costing((1 + usual) / 2)).price.gamma).toBeCloseTo(0.5, 1);
  });

  test('is not told by a few clicks: then the next bidder is taken to', () => {
    expect(prepareBids(someTargets([{ clicks: 8, cpc: 0.5 }])).price.gamma).toBe(0);
  });

  test('lowers bids where it is the own one, most where far more is won than half', () => {
    const shade = shadeOf({
      gamma: 1,
      measured: 0,
      targets: 20,
      clicks: 0,
      curves: { level: new Float64Array(), steepness: 2.4 },
    });
    // r solves r (1 + (1 + r^a) / a) = worth / L, and the shade is its share of that to the 0.7.
    const r = shade(2) ** (1 / 0.7) * 2;
    expect(r * (1 + (1 + r ** 2.4) / 2.4)).toBeCloseTo(2, 1);
    expect(shade(4)).toBeLessThan(shade(1));
    const bid = (share: number) =>
      proposeBids(costing(share), settings({ aim: 'keep profit' })).proposals[0].wanted;
    const costs = bid(1) / bid(0.5);
    expect(costs).toBeLessThan(0.8);
  });
});

test('where a bid stands among its rivals’ is read from what earlier bids brought', () => {
  const observations = someTargets(MANY.map((one) => ({ ...one, clicks: 40 })));
  // Half as high a bid, four weeks ago and before, won a third of the clicks: F(0.5) / F(0.25) = 3 at a = 2.4 where L is about 0.5.
  const { days } = observations;
  const wasLow = (age: number) => age >= 28;
  days.bid = Float64Array.from(days.age, (age) => (wasLow(age) ? 250_000 : NaN));
  days.clicks = days.clicks.map((clicks, row) => (wasLow(days.age[row]) ? clicks / 3 : clicks));
  const { curves } = prepareBids(observations).price;
  expect(curves.level[0] / 500_000).toBeGreaterThan(0.7);
  expect(curves.level[0] / 500_000).toBeLessThan(1.4);
  // Had the lower bid won as much, rivals would stand far below it.
  days.clicks.fill(40);
  expect(prepareBids(observations).price.curves.level[0]).toBeLessThan(curves.level[0] * 0.8);
});
