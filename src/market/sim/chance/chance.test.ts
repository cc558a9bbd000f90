import { describe, expect, test } from 'vitest';
import { normalCdf, normalQuantile } from './normal';
import { mixSeeds, seedOf, Stream } from './stream';

const mean = (values: number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
const many = (count: number, of: () => number) => Array.from({ length: count }, of);

describe('chance', () => {
  test('is the same for the same seed, and evenly spread', () => {
    const [a, b] = [new Stream(7), new Stream(7)];
    expect(many(5, () => a.next())).toEqual(many(5, () => b.next()));
    const values = many(20_000, () => a.next());
    expect(mean(values)).toBeCloseTo(0.5, 1);
    expect(Math.min(...values)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...values)).toBeLessThan(1);
  });

  test('near seeds give far streams', () => {
    expect(seedOf('jar')).not.toBe(seedOf('raj'));
    const firsts = Array.from({ length: 2000 }, (_, at) => new Stream(mixSeeds(5, at)).next());
    expect(Math.abs(mean(firsts) - 0.5)).toBeLessThan(0.02);
    expect(new Set(firsts).size).toBe(2000);
  });

  test.each([0.02, 0.4, 7, 120])('gives %s events where so many are expected', (expected) => {
    const random = new Stream(3);
    const counts = many(20_000, () => random.poisson(expected));
    expect(Math.abs(mean(counts) / expected - 1)).toBeLessThan(0.1);
    expect(counts.every((count) => Number.isInteger(count) && count >= 0)).toBe(true);
  });

  test.each([
    [3, 0.1],
    [50, 0.02],
    [500, 0.4],
    [20, 0.9],
  ])('of %i tries at %f never more succeed than there are, and as many as the chance says', (trials, p) => {
    const random = new Stream(5);
    const wins = many(5000, () => random.binomial(trials, p));
    expect(Math.max(...wins)).toBeLessThanOrEqual(trials);
    expect(Math.abs(mean(wins) / (trials * p) - 1)).toBeLessThan(0.08);
  });
});

test('the normal distribution and its quantile undo each other', () => {
  expect(normalCdf(0)).toBeCloseTo(0.5, 6);
  expect(normalCdf(1.959964)).toBeCloseTo(0.975, 6);
  for (const p of [0.001, 0.02, 0.3, 0.5, 0.9, 0.999]) expect(normalCdf(normalQuantile(p))).toBeCloseTo(p, 6);
});
