import { describe, expect, test } from 'vitest';
import { bands, doNothing, mowing } from './policies';
import { playHours } from './hoursTrial';
import { runTrial, trialScenario } from './runTrial';
import type { Week } from './runTrial';

const acos = (weeks: Week[]) =>
  weeks.reduce((sum, { spend }) => sum + spend, 0) / weeks.reduce((sum, { sales }) => sum + sales, 0);

describe('a trial', { timeout: 240_000 }, () => {
  test('with the same seed and policy gives the same figures', () =>
    expect(runTrial(7, 2, mowing('steady'))).toEqual(runTrial(7, 2, mowing('steady'))));

  test('plays the same market for every policy until one of them acts', () => {
    const [idle, banded] = [runTrial(7, 1, doNothing()), runTrial(7, 1, bands())];
    expect(idle[0].clicks).not.toBe(banded[0].clicks);
    expect(runTrial(7, 1, doNothing())).toEqual(idle);
  });

  test('of the engine comes near its target, and no pace leaves it far above', () => {
    const target = trialScenario(0).targetAcos;
    const weeks = [3, 4].flatMap((seed) => runTrial(seed, 8, mowing('steady')).slice(3));
    expect(acos(weeks) / target).toBeGreaterThan(0.75);
    expect(acos(weeks) / target).toBeLessThan(1.15);
  });

  test('of schedules proposes none where hours sell alike, and finds the hours where they do not', () => {
    const of = (sigma: number) => new Map(playHours(101, sigma).map((one) => [one.way, one]));
    const [flat, strong] = [of(0), of(0.35)];
    const sales = (played: typeof flat, way: Parameters<typeof flat.get>[0]) =>
      played.get(way)!.sales / played.get('none')!.sales;
    expect(flat.get('mowing')).toMatchObject({ isScheduled: false, sales: flat.get('none')!.sales });
    expect(strong.get('mowing')!.isScheduled).toBe(true);
    for (const way of ['naive cells', 'worst day off', 'nights off'] as const) {
      expect(sales(flat, way)).toBeLessThan(1);
      expect(sales(strong, way)).toBeLessThan(sales(strong, 'mowing'));
    }
  });

  test('that keeps profit spends no larger share of its sales than one that grows', () => {
    const of = (aim: 'grow' | 'keep profit') =>
      acos([3, 4].flatMap((seed) => runTrial(seed, 6, mowing('steady', aim)).slice(2)));
    expect(of('keep profit')).toBeLessThanOrEqual(of('grow') + 0.005);
  });
});
