import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { settings, someTargets } from '../../../tests/make/bids';
import type { TargetSpec } from '../../../tests/make/bids';
import { fitStrength } from '../evidence';
import { bidReason, PACES, proposeBids } from '.';

const plan = (specs: TargetSpec[], over: Parameters<typeof settings>[0] = {}) =>
  proposeBids(someTargets(specs), settings(over));

/** Twenty ordinary targets beside which a single one is judged. */
const OTHERS: TargetSpec[] = Array.from({ length: 20 }, () => ({ clicks: 5, orders: 16 }));

describe('a round of bids', () => {
  test('lowers what had its chance and did not sell, and says that it is dead spend', () => {
    const [dead] = plan([{ clicks: 6, orders: 0, cpc: 0.6, bid: 0.8 }, ...OTHERS]).proposals;
    expect(dead).toMatchObject({ step: 'dead', left: null });
    expect(dead.to).toBeLessThan(0.7e6);
    expect(dead.chance).toBeLessThan(0.05);
  });

  test('leaves a target without data near what is usual there', () => {
    const { proposals } = plan([{ clicks: 0, orders: 0 }, ...OTHERS]);
    expect(proposals[0].conversion.mean).toBeCloseTo(proposals[0].conversion.usual, 9);
  });

  test('raises what sells well under its target, and lowers what costs too much', () => {
    const { proposals } = plan([
      { clicks: 5, orders: 60, cpc: 0.3, bid: 0.4 },
      { clicks: 5, orders: 6, cpc: 0.9, bid: 1.2 },
      ...OTHERS,
    ]);
    expect(proposals[0].step).toBe('grow');
    expect(proposals[1].step).toBe('over');
  });

  test('lands the whole scope on its target where the steps allow it', () => {
    const { proposals } = plan(OTHERS, { step: { down: 0.99, up: 20 } });
    const sum = (of: (month: { spend: number; sales: number }) => number) =>
      proposals.reduce((all, { after }) => all + of(after), 0);
    expect(sum(({ spend }) => spend) / sum(({ sales }) => sales)).toBeCloseTo(0.25, 2);
  });

  test('strict stays under the target; keep profit never bids more than a click earns', () => {
    const free = { step: { down: 0.99, up: 20 } };
    const acos = (aim: 'grow' | 'strict') => {
      const { proposals } = plan(OTHERS, { ...free, aim });
      return (
        proposals.reduce((all, { after }) => all + after.spend, 0) /
        proposals.reduce((all, { after }) => all + after.sales, 0)
      );
    };
    expect(acos('strict')).toBeLessThan(acos('grow'));
    const poor = someTargets(OTHERS, { products: [{ price: 30e6, margin: 0.1 }] });
    for (const { wanted, rpc } of proposeBids(poor, settings({ ...free, aim: 'keep profit' })).proposals)
      expect(wanted).toBeLessThanOrEqual(rpc * 0.1 * 1.01);
  });

  test.each(Object.entries(PACES))('%s moves no bid further than its step', (_, step) => {
    const { proposals } = plan([{ orders: 0, clicks: 20 }, { orders: 200 }, ...OTHERS], { step });
    for (const { from, to } of proposals) {
      expect(to / from).toBeGreaterThanOrEqual(1 - step.down - 0.021); // one cent of 0.50
      expect(to / from).toBeLessThanOrEqual(1 + step.up + 0.021);
    }
  });

  test('leaves alone what was changed lately or does not run, and still learns from it', () => {
    const specs = [
      { clicks: 6, orders: 0, change: { daysAgo: 3, from: null } },
      { clicks: 6, orders: 0, isRunning: false },
      ...OTHERS,
    ];
    const { proposals } = plan(specs);
    expect(proposals[0]).toMatchObject({ step: 'none', left: 'hold' });
    expect(proposals[1]).toMatchObject({ step: 'none', left: 'not running' });
    expect(proposals[1].to).toBe(proposals[1].from);
  });

  test('one more order never lowers the estimate, nor the bid that is wanted', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 40 }), fc.integer({ min: 1, max: 12 }), (orders, clicks) => {
        const wanted = (count: number) => plan([{ clicks, orders: count }, ...OTHERS]).proposals[0];
        const [few, more] = [wanted(orders), wanted(orders + 1)];
        expect(more.conversion.mean).toBeGreaterThanOrEqual(few.conversion.mean - 1e-12);
        expect(more.rpc).toBeGreaterThanOrEqual(few.rpc - 1e-6);
      }),
      { numRuns: 25 },
    );
  });

  test('ten times the money gives ten times the bids', () => {
    const specs = [{ clicks: 6, orders: 0 }, { clicks: 5, orders: 60 }, ...OTHERS];
    const limits = { bidStep: 1, minBid: 1, maxBid: 1e12 };
    const [one, ten] = [1, 10].map((scale) =>
      proposeBids(someTargets(specs, { scale }), settings({ limits })),
    );
    one.proposals.forEach(({ to }, at) => expect(ten.proposals[at].to / to).toBeCloseTo(10, 4));
  });

  test('the same figures give the same plan', () => expect(plan(OTHERS)).toEqual(plan(OTHERS)));

  test('without any figures proposes nothing that breaks a limit', () => {
    const { proposals } = plan([{ clicks: 0 }, { clicks: 0 }]);
    for (const { to } of proposals) expect(to).toBeGreaterThanOrEqual(20_000);
  });
});

describe('the weight of the prior', () => {
  test('is large where targets are alike, small where they differ', () => {
    const exposure = new Float64Array(200).fill(100);
    const mean = new Float64Array(200).fill(0.05);
    const alike = fitStrength(exposure, new Float64Array(200).fill(5), mean);
    const different = fitStrength(
      exposure,
      Float64Array.from(exposure, (_, at) => (at % 5 === 0 ? 25 : 0)),
      mean,
    );
    expect(alike).toBeGreaterThan(15);
    expect(different).toBeLessThan(1);
  });
});

describe('a reason', () => {
  test('tells the numbers that it was decided on', () => {
    const { proposals, strength } = plan([
      { clicks: 6, orders: 0, cpc: 0.6, bid: 0.8 },
      { orders: 80 },
      ...OTHERS,
    ]);
    const context = { days: 60, margin: null, strength, dry: null, held: 1, gamma: 0, isHeldByMoney: false };
    expect(bidReason(proposals[0], context)).toMatch(
      /^360 clicks, 0 orders in 60 days; an order usually takes 1\d clicks here; 0 % chance that it reaches the \d+\.\d % it needs/,
    );
    expect(bidReason(proposals[1], context)).toMatch(
      /^300 clicks, 80 orders in 60 days; weighed by .* more: converts \d+\.\d %/,
    );
  });
});

test('a very large account is decided as a whole: no list of its targets is too long', () => {
  const observations = someTargets(OTHERS.slice(0, 1));
  const [one] = observations.targets;
  const many = { ...observations, targets: Array.from({ length: 200_000 }, () => one) };
  expect(proposeBids(many, settings()).proposals).toHaveLength(200_000);
});

test('an account without targets has nothing to decide, and no figure of it is made up', () => {
  const { proposals, days, testing } = proposeBids(someTargets([], { products: [] }), settings());
  expect({ proposals, days, cap: testing.cap }).toEqual({ proposals: [], days: 0, cap: 0 });
});
