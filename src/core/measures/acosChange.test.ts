import { describe, expect, test } from 'vitest';
import { ACOS_CAUSES, acosChange, addedToAcos, causesInTenths } from '.';
import type { PartSums, Sums } from '.';

const sums = (clicks: number, spend: number, orders: number, sales: number): Sums => ({
  impressions: clicks * 100,
  clicks,
  spend,
  orders,
  units: orders,
  sales,
});
const part = (before: Sums, now: Sums): PartSums => ({ before, now });
const base = sums(100, 50e6, 10, 200e6);

describe('the change of an ACOS', () => {
  test('is the price per click alone where clicks cost twice as much', () => {
    const change = acosChange([part(base, sums(100, 100e6, 10, 200e6))])!;
    expect(change.cpc).toBeCloseTo(0.25, 12);
    for (const key of ['conversion', 'orderValue', 'mix', 'once'] as const)
      expect(change[key]).toBeCloseTo(0, 12);
  });

  test('is conversion where clicks sell less often, order value where orders are larger', () => {
    expect(acosChange([part(base, sums(200, 100e6, 10, 200e6))])!.conversion).toBeCloseTo(0.25, 12);
    expect(acosChange([part(base, sums(100, 50e6, 10, 400e6))])!.orderValue).toBeCloseTo(-0.125, 12);
  });

  test('is the mix where each part is as it was and sales moved to the dearer one', () => {
    const dear = sums(100, 80e6, 10, 200e6);
    const twice = sums(200, 160e6, 20, 400e6);
    const { mix, before, now } = acosChange([part(base, base), part(dear, twice)])!;
    expect(mix).toBeCloseTo(now - before, 12);
    expect(mix).toBeGreaterThan(0);
  });

  test('is of parts that sold in one period alone where a new one spends and sells nothing, and not where it sells like the rest', () => {
    const idle = part(sums(0, 0, 0, 0), sums(40, 20e6, 0, 0));
    expect(acosChange([part(base, base), idle])!.once).toBeCloseTo(0.1, 12);
    const same = part(sums(0, 0, 0, 0), base);
    expect(acosChange([part(base, base), same])!.once).toBeCloseTo(0, 12);
  });

  test('is not told where a period sold nothing', () => {
    expect(acosChange([part(sums(10, 1e6, 0, 0), base)])).toBeNull();
  });
});

test('whatever happened, the causes come to the whole change, and rounded they still do', () => {
  let seed = 7;
  const chance = () => ((seed = (Math.imul(seed, 1_103_515_245) + 12_345) & 0x7fffffff) % 10_000) / 10_000;
  const some = (): Sums => {
    if (chance() < 0.15) return sums(0, 0, 0, 0);
    const clicks = 1 + Math.floor(chance() * 500);
    const orders = Math.floor(chance() * clicks * 0.3);
    return sums(
      clicks,
      Math.round(clicks * chance() * 1e6),
      orders,
      Math.round(orders * (5 + chance() * 60) * 1e6),
    );
  };
  for (let round = 0; round < 300; round += 1) {
    const parts = Array.from({ length: 1 + Math.floor(chance() * 30) }, () => part(some(), some()));
    const change = acosChange(parts);
    if (change === null) continue;
    const sum = (of: (key: (typeof ACOS_CAUSES)[number]) => number) =>
      ACOS_CAUSES.reduce((all, key) => all + of(key), 0);
    expect(sum((key) => change[key])).toBeCloseTo(change.now - change.before, 9);
    const added = parts.reduce((all, one) => all + addedToAcos(one, parts), 0);
    expect(added).toBeCloseTo(change.now - change.before, 9);
    const { total, causes } = causesInTenths(change);
    expect(sum((key) => causes[key])).toBeCloseTo(total, 9);
    for (const key of ACOS_CAUSES) expect(Math.abs(causes[key] - change[key])).toBeLessThan(0.0025);
  }
});
