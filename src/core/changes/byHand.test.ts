import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { moveByHand } from '.';
import type { HandStep, HandValue } from '.';

const limits = { step: 10_000, min: 50_000, max: 5_000_000 };
const bid = (now: number | null, over: Partial<HandValue> = {}): HandValue => ({
  now,
  cpc: 333_300,
  suggested: 612_500,
  wanted: 447_000,
  spend: 12_000_000,
  sales: 40_000_000,
  targetAcos: 0.2,
  ...over,
});

describe('a bid moved by hand', () => {
  test.each<[string, number | null, HandStep, number | null, string | null]>([
    ['15 % down, rounded down to the step', 430_000, { kind: 'percent', by: -0.15 }, 360_000, null],
    ['5 % up moves a small bid by a whole step', 60_000, { kind: 'percent', by: 0.05 }, 70_000, null],
    ['by an amount', 430_000, { kind: 'amount', by: -50_000 }, 380_000, null],
    ['to a value', 430_000, { kind: 'value', to: 500_000 }, 500_000, null],
    ['to what a click costs, to the nearest step', 430_000, { kind: 'cpc' }, 330_000, null],
    ['to what the market suggests', 430_000, { kind: 'suggested' }, 610_000, null],
    ['to the bid that is worked out, to the nearest step', 430_000, { kind: 'wanted' }, 450_000, null],
    ['to the floor', 430_000, { kind: 'floor' }, 50_000, 'floor'],
    ['not below the floor, and it says so', 60_000, { kind: 'percent', by: -0.5 }, 50_000, 'floor'],
    ['not above the cap, and it says so', 4_900_000, { kind: 'amount', by: 900_000 }, 5_000_000, 'cap'],
    ['that is not known stays unknown by per cent', null, { kind: 'percent', by: 0.1 }, null, null],
    ['that is not known can be set to a value', null, { kind: 'value', to: 200_000 }, 200_000, null],
    ['that is there already stays', 500_000, { kind: 'value', to: 500_000 }, null, null],
  ])('%s', (_, now, step, to, limit) => {
    const moved = moveByHand(bid(now), step, limits);
    expect(moved?.to ?? null).toBe(to);
    expect(moved?.limit ?? null).toBe(limit);
  });

  test('by per cent always moves the wanted way, stands on the step and within the limits', () => {
    fc.assert(
      fc.property(fc.integer({ min: 6, max: 490 }), fc.integer({ min: -80, max: 200 }), (steps, percent) => {
        fc.pre(percent !== 0);
        const now = steps * limits.step;
        const moved = moveByHand(bid(now), { kind: 'percent', by: percent / 100 }, limits)!;
        expect(Math.sign(moved.to - now)).toBe(Math.sign(percent));
        expect(moved.to % limits.step).toBe(0);
        expect(moved.to).toBeGreaterThanOrEqual(limits.min);
        expect(moved.to).toBeLessThanOrEqual(limits.max);
      }),
    );
  });
});

describe('ACOS bands', () => {
  const bands = [
    { from: 1, by: -0.1 },
    { from: 1.4, by: -0.2 },
    { from: 0, by: 0.1 },
  ];
  const step: HandStep = { kind: 'bands', bands, noSales: { spend: 10_000_000, by: -0.5 } };

  test.each<[string, Partial<HandValue>, number | null]>([
    ['the highest band that is reached is applied, once: 30 % at a target of 20 %', {}, 320_000],
    ['a band holds from where it begins', { spend: 8_000_000 }, 360_000],
    ['under the target the bid goes up', { spend: 7_900_000 }, 440_000],
    ['without sales, once enough was spent', { sales: 0 }, 200_000],
    ['without sales and hardly any spend it stays', { sales: 0, spend: 900_000 }, null],
  ])('%s', (_, over, to) => {
    expect(moveByHand(bid(400_000, over), step, limits)?.to ?? null).toBe(to);
  });
});
