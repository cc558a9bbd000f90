import { describe, expect, test } from 'vitest';
import { CHANGE_PURPOSES, purposeOf } from '../changes';
import { effectMeasure, MOST_WEEKS, touchedTargets } from '.';
import type { EffectFeed, MadeChange, WeeksAround } from '.';
import { steadyChance } from '../evidence';

const DAY = 1000;
const SIZE = 60;

/** Sixty targets of one kind that spend about 10 and sell about 40 a week; `change` is what happens after the day. */
function aFeed(
  change: (target: number) => { spend: number; sales: number },
  { settledDays = 14, touched = {} as Record<number, number[]> } = {},
): EffectFeed {
  const chance = steadyChance(7);
  const column = () => new Float64Array(SIZE * 2 * MOST_WEEKS);
  const around: WeeksAround = { day: DAY, settledDays, clicks: column(), spend: column(), sales: column() };
  for (let target = 0; target < SIZE; target += 1)
    for (let week = 0; week < 2 * MOST_WEEKS; week += 1) {
      const at = target * 2 * MOST_WEEKS + week;
      const after = week < MOST_WEEKS ? { spend: 1, sales: 1 } : change(target);
      around.clicks[at] = 20;
      around.spend[at] = (8 + 4 * chance()) * 1e6 * after.spend;
      around.sales[at] = (30 + 20 * chance()) * 1e6 * after.sales;
    }
  return {
    targets: Array.from({ length: SIZE }, (_, id) => ({ id, kind: 'exact', targetAcos: 0.2, margin: 0.4 })),
    weeks: new Map([[DAY, around]]),
    summed: new Set(),
    touched: Array.from({ length: SIZE }, (_, target) => touched[target] ?? (target < 20 ? [DAY] : [])),
  };
}

const twenty = Array.from({ length: 20 }, (_, target) => target);
const aChange = (over: Partial<MadeChange> = {}): MadeChange => ({
  id: 1,
  day: DAY,
  targets: twenty,
  expected: { spend: -300e6, sales: -100e6 },
  ...over,
});

describe('the effect of changes', () => {
  test('is what they did beyond what untouched targets did in the same weeks', () => {
    // Everything goes up by half; the changed ones spend 40 % less than they would have.
    const effect = effectMeasure(
      aFeed((target) => (target < 20 ? { spend: 0.9, sales: 1.5 } : { spend: 1.5, sales: 1.5 })),
    )([aChange()]);
    expect(effect.spend!.change).toBeCloseTo(-0.4, 1);
    expect(effect.spend!.high).toBeLessThan(-0.3);
    expect(Math.abs(effect.sales!.change)).toBeLessThan(0.12);
    expect(effect.acos!.change).toBeCloseTo(-0.4, 1);
    expect(effect.profit!.low).toBeGreaterThan(0);
    expect(effect).toMatchObject({ verdict: 'as wanted', measured: 20, waiting: 0, days: 14 });
  });

  test('of doing nothing is nothing, and the interval says so', () => {
    const effect = effectMeasure(aFeed(() => ({ spend: 1, sales: 1 })))([aChange()]);
    expect(effect.spend!.low).toBeLessThan(0);
    expect(effect.spend!.high).toBeGreaterThan(0);
    expect(effect.verdict).toBe('no clear effect');
  });

  test('is judged by profit: less spend that took the sales along is not what was wanted', () => {
    const half = (target: number) => (target < 20 ? { spend: 0.7, sales: 0.5 } : { spend: 1, sales: 1 });
    const effect = effectMeasure(aFeed(half))([aChange()]);
    expect(effect.spend!.high).toBeLessThan(0);
    expect(effect.profit!.high).toBeLessThan(0);
    expect(effect.verdict).toBe('against');
    // Where costs are not known, its ACOS judges: it went up.
    const unknown = aFeed(half);
    unknown.targets = unknown.targets.map((one) => ({ ...one, margin: null }));
    expect(effectMeasure(unknown)([aChange()])).toMatchObject({ profit: null, verdict: 'against' });
  });

  test('stands beside what was expected, both in money a month and in per cent', () => {
    const effect = effectMeasure(aFeed((target) => ({ spend: target < 20 ? 0.6 : 1, sales: 1 })))([
      aChange(),
    ]);
    // Twenty targets that spend about 10 a week: 4 less of it, times 20, times 30.4 / 7.
    expect(effect.gained!.spend / 1e6).toBeCloseTo(-0.4 * 10 * 20 * (30.4 / 7), -2);
    expect(effect.expected).toMatchObject({ spend: -300e6, sales: -100e6, profit: 0.4 * -100e6 + 300e6 });
    expect(effect.expected!.spendChange).toBeCloseTo(-300 / (10 * 20 * (30.4 / 7)), 1);
  });

  test('of changes of which only some can be measured is held against what was expected of these', () => {
    const again = Object.fromEntries(twenty.slice(0, 10).map((target) => [target, [DAY, DAY + 3]]));
    const feed = aFeed(() => ({ spend: 1, sales: 1 }), { touched: again });
    expect(effectMeasure(feed)([aChange()]).expected!.spend).toBe(-150e6);
  });

  test('that went the wrong way is told', () => {
    const effect = effectMeasure(aFeed((target) => ({ spend: target < 20 ? 2 : 1, sales: 1 })))([aChange()]);
    expect(effect.verdict).toBe('against');
  });

  test('is not told before four days are over and their orders are in', () => {
    const effect = effectMeasure(aFeed(() => ({ spend: 1, sales: 1 }), { settledDays: 3 }))([aChange()]);
    expect(effect).toMatchObject({
      verdict: 'too early',
      measured: 0,
      waiting: 20,
      readyOn: DAY + 3,
      spend: null,
    });
  });

  test('ends where a target was changed again', () => {
    const again = Object.fromEntries(twenty.map((target) => [target, [DAY, DAY + 10]]));
    const feed = aFeed(() => ({ spend: 1, sales: 1 }), { touched: again });
    expect(effectMeasure(feed)([aChange()]).days).toBe(7);
    const atOnce = Object.fromEntries(twenty.map((target) => [target, [DAY, DAY + 3]]));
    expect(
      effectMeasure(aFeed(() => ({ spend: 1, sales: 1 }), { touched: atOnce }))([aChange()]).waiting,
    ).toBe(20);
  });

  test('of a single change is held against how far like targets stray by themselves', () => {
    const measure = effectMeasure(aFeed((target) => ({ spend: target === 0 ? 0.3 : 1, sales: 1 })));
    const [sure, chance] = [0, 1].map((target) => measure([aChange({ targets: [target] })]));
    expect(sure.spend!.high).toBeLessThan(0);
    expect(chance.spend!.low).toBeLessThan(0);
    expect(chance.spend!.high).toBeGreaterThan(0);
  });

  test('cannot be told where nothing was left alone', () => {
    const all = Object.fromEntries(Array.from({ length: SIZE }, (_, target) => [target, [DAY]]));
    const effect = effectMeasure(aFeed(() => ({ spend: 1, sales: 1 }), { touched: all }))([aChange()]);
    expect(effect).toMatchObject({ verdict: 'nothing to compare with', spend: null });
  });

  test('cannot be told where the days around it came summed: nothing is awaited either', () => {
    const feed = { ...aFeed(() => ({ spend: 1, sales: 1 })), weeks: new Map(), summed: new Set([DAY]) };
    expect(effectMeasure(feed)([aChange()])).toMatchObject({ verdict: 'summed', readyOn: null, spend: null });
  });

  test('of nothing is nothing, not an error', () => {
    const effect = effectMeasure(aFeed(() => ({ spend: 1, sales: 1 })))([]);
    expect(effect).toMatchObject({ measured: 0, waiting: 0, readyOn: null });
  });

  test('of what was new has no before to compare with', () => {
    const feed = aFeed(() => ({ spend: 1, sales: 1 }));
    const around = feed.weeks.get(DAY)!;
    for (const figures of [around.spend, around.sales, around.clicks]) figures.fill(0, 0, MOST_WEEKS);
    const effect = effectMeasure(feed)([aChange({ targets: [0] })]);
    expect(effect).toMatchObject({ verdict: 'new', spend: null });
    expect(effect.since.spend).toBeGreaterThan(0);
  });

  test('is the same each time it is asked for', () => {
    const ask = () => effectMeasure(aFeed(() => ({ spend: 1.1, sales: 0.9 })))([aChange()]);
    expect(ask()).toEqual(ask());
  });
});

const places = {
  byTarget: (id: number) => (id === 5 ? 0 : undefined),
  byAdGroup: (id: number) => (id === 10 ? [0, 1] : []),
  byCampaign: (id: number) => (id === 1 ? [0, 1, 2] : []),
};
const nowhere = { campaignId: null, adGroupId: null, madeTargetId: null, caughtBy: null };

test('a change works on its target, or on all of the ad group or campaign where it is made', () => {
  const on = (change: Parameters<typeof touchedTargets>[0], place = {}) =>
    touchedTargets(change, { ...nowhere, ...place }, places);
  expect(on({ kind: 'set-bid', targetId: 5, from: 1, to: 2 })).toEqual([0]);
  expect(on({ kind: 'set-bid', targetId: 6, from: 1, to: 2 })).toEqual([]);
  expect(on({ kind: 'set-budget', campaignId: 1, from: 1, to: 2 })).toEqual([0, 1, 2]);
  expect(on({ kind: 'archive-negative', negativeId: 3 }, { adGroupId: 10, campaignId: 1 })).toEqual([0, 1]);
  expect(on({ kind: 'archive-negative', negativeId: 3 }, { adGroupId: 10, caughtBy: 5 })).toEqual([0]);
});

test('changes are told apart by what they were for', () => {
  const low = { kind: 'set-bid', targetId: 5, from: 2, to: 1 } as const;
  expect(purposeOf(low, 'over', false)).toBe('over');
  expect(purposeOf(low, undefined, false)).toBe('down');
  expect(purposeOf(low, 'over', true)).toBe('other');
  expect(CHANGE_PURPOSES[purposeOf({ ...low, to: 3 }, undefined, false)]).toBe('Bids up by hand');
});
