import { describe, expect, test } from 'vitest';
import {
  CELLS,
  firstCampaigns,
  hourCells,
  hoursWorth,
  proposeWeek,
  rhythmOf,
  rhythmWithin,
  weekHours,
  weekMoves,
} from '.';

/** The same numbers each time: a test that fails fails again. */
function chances(seed: number) {
  let state = seed;
  return () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return state / 2 ** 32;
  };
}

/** Clicks of a week of hours, most in the evening, and as many orders as chance brings at a rate. */
function aWeek(seed: number, orders: number, sells: (cell: number) => number) {
  const chance = chances(seed);
  for (let turn = 0; turn < 5; turn += 1) chance();
  const clicks = Array.from({ length: CELLS }, (_, cell) => 40 + 30 * Math.sin(((cell % 24) - 9) / 3.8));
  const all = clicks.reduce((sum, one) => sum + one, 0);
  const poisson = (mean: number) => {
    let count = 0;
    for (let product = chance(); product > Math.exp(-mean); product *= chance()) count += 1;
    return count;
  };
  return hourCells({
    campaign: new Array<number>(CELLS).fill(1),
    cell: Array.from({ length: CELLS }, (_, cell) => cell),
    clicks,
    orders: clicks.map((one, cell) => poisson((orders * one * sells(cell)) / all)),
  });
}

/** Weekends sell a third less, evenings a third more. */
const pattern = (cell: number) => (cell >= 120 ? 0.65 : 1.1) * (cell % 24 >= 18 ? 1.35 : 0.92);

describe('how well clicks sell by hour of the week', () => {
  test('flat data are worth no schedule, in 97 of 100 accounts at least', () => {
    const proposed = Array.from({ length: 100 }, (_, seed) => {
      const cells = aWeek(seed + 1, [400, 900, 2000, 6000][seed % 4], () => 1);
      return hoursWorth(cells, rhythmOf(cells)).isWorthIt;
    });
    expect(proposed.filter(Boolean).length).toBeLessThanOrEqual(3);
  });

  test('a pattern that is there is found, the surer the more orders tell of it', () => {
    const cells = aWeek(7, 4000, pattern);
    const { weekday, hour, factor, weekdaySd } = rhythmOf(cells);
    expect(weekday[5] / weekday[1]).toBeGreaterThan(0.5);
    expect(weekday[5] / weekday[1]).toBeLessThan(0.75);
    expect(hour[20] / hour[10]).toBeGreaterThan(1.2);
    expect(factor[24 + 20]).toBeGreaterThan(factor[5 * 24 + 8]);
    const worth = hoursWorth(cells, rhythmOf(cells));
    expect(worth.isWorthIt).toBe(true);
    expect(worth.gain).toBeGreaterThan(0.03);
    const few = rhythmOf(aWeek(7, 300, pattern));
    expect(few.weekdaySd[5]).toBeGreaterThan(weekdaySd[5]);
    expect(Math.abs(Math.log(few.weekday[5]))).toBeLessThan(Math.abs(Math.log(weekday[5])));
  });

  test('is told of the clicks, not of which campaign runs when', () => {
    // One sells ten times as well as the other and runs at night: that is no night that sells.
    const night = (cell: number) => cell % 24 < 8;
    const cells = hourCells({
      campaign: Array.from({ length: CELLS }, (_, cell) => (night(cell) ? 1 : 2)),
      cell: Array.from({ length: CELLS }, (_, cell) => cell),
      clicks: new Array<number>(CELLS).fill(200),
      orders: Array.from({ length: CELLS }, (_, cell) => (night(cell) ? 40 : 4)),
    });
    const { hour } = rhythmOf(cells);
    expect(hour[4] / hour[14]).toBeLessThan(1.1);
    expect(hoursWorth(cells, rhythmOf(cells)).isWorthIt).toBe(false);
  });

  test('too few orders tell nothing, none are no error', () => {
    const none = aWeek(3, 0, () => 1);
    expect(Array.from(rhythmOf(none).factor)).toEqual(new Array(CELLS).fill(1));
    expect(hoursWorth(none, rhythmOf(none))).toMatchObject({ orders: 0, isWorthIt: false });
    const few = aWeek(3, 120, pattern);
    expect(hoursWorth(few, rhythmOf(few)).isWorthIt).toBe(false);
  });
});

describe('hours of the week', () => {
  const sum = (list: Float64Array) => list.reduce((all, one) => all + one, 0);

  test('come once a week; where clocks change one is missing, or comes twice', () => {
    const plain = weekHours('2026-06-01', '2026-06-14', 'Europe/Berlin');
    expect(Array.from(plain)).toEqual(new Array(CELLS).fill(2));
    // Clocks go forward on Sunday, 29 March 2026, at two: there is no such hour.
    const spring = weekHours('2026-03-23', '2026-03-29', 'Europe/Berlin');
    expect([spring[6 * 24 + 1], spring[6 * 24 + 2], spring[6 * 24 + 3], sum(spring)]).toEqual([1, 0, 1, 167]);
    // And back on 25 October: that hour comes twice.
    const autumn = weekHours('2026-10-19', '2026-10-25', 'Europe/Berlin');
    expect([autumn[6 * 24 + 2], sum(autumn)]).toEqual([2, 169]);
    expect(sum(weekHours('2026-03-02', '2026-03-08', 'America/New_York'))).toBe(167);
    expect(sum(weekHours('2026-03-23', '2026-03-29', 'UTC'))).toBe(168);
  });

  test('of a part are the account’s until it has a thousand orders of its own', () => {
    const whole = rhythmOf(aWeek(7, 6000, pattern));
    const few = rhythmWithin(
      whole,
      aWeek(8, 400, () => 1),
    );
    expect([few.isOwn, few.rhythm]).toEqual([false, whole]);
    const own = rhythmWithin(
      whole,
      aWeek(8, 9000, (cell) => (cell >= 120 ? 1.4 : 0.9)),
    );
    expect(own.isOwn).toBe(true);
    expect(own.rhythm.weekday[5]).toBeGreaterThan(1.1);
  });
});

describe('the week that is proposed', () => {
  const cells = aWeek(7, 6000, pattern);
  const rhythm = rhythmOf(cells);
  const worth = hoursWorth(cells, rhythm);
  /** One unit a click: the market's price does not go by the hour. */
  const of = { clicks: cells.clicks, spend: cells.clicks, factor: rhythm.factor };

  test('merges like hours into few blocks, and says what that costs', () => {
    const { week, blocks, gain, wholeGain } = proposeWeek(of, worth, false);
    expect(new Set(week).size).toBeLessThanOrEqual(blocks);
    expect(blocks).toBeLessThanOrEqual(12);
    expect(wholeGain).toBe(worth.gain);
    expect(gain / wholeGain).toBeGreaterThan(0.8);
    expect(week[20]).toBeGreaterThan(week[6 * 24 + 10]);
  });

  test('leaves the ACOS where it is, and knows no unit', () => {
    const { week } = proposeWeek(of, worth, false);
    const sales = cells.orders.reduce((sum, one) => sum + one, 0);
    const spend = cells.clicks.reduce((sum, one) => sum + one, 0);
    const moves = weekMoves(week, { spend: cells.clicks, sales, factor: rhythm.factor });
    expect((spend + moves.spend) / (sales + moves.sales) / (spend / sales)).toBeCloseTo(1, 1);
    expect(moves.sales).toBeGreaterThan(0);
    const scaled = { ...of, spend: cells.clicks.map((one) => 1e6 * one) };
    expect(proposeWeek(scaled, worth, false).week).toEqual(week);
  });

  test('where a market only raises, base bids go down to the least hour and are raised from there', () => {
    const both = proposeWeek(of, worth, false);
    const { week, bases } = proposeWeek(of, worth, true);
    expect(week.reduce((least, one) => Math.min(least, one), Infinity)).toBe(0);
    expect(bases).toBeLessThan(1);
    week.forEach((one, cell) => expect(bases * (100 + one)).toBeCloseTo(100 + both.week[cell], -1));
  });

  test('hours that are switched off cost what they sell, and that is told', () => {
    const nights = Array.from({ length: CELLS }, (_, cell) => (cell % 24 < 6 ? -100 : 0));
    const moves = weekMoves(nights, {
      spend: new Array<number>(CELLS).fill(10),
      sales: 168,
      factor: new Array<number>(CELLS).fill(1),
    });
    expect(moves).toMatchObject({ offHours: 42, offSpend: 420 });
    expect(moves.offSales).toBeCloseTo(42);
    expect([moves.spend, moves.sales]).toEqual([-moves.offSpend, -moves.offSales]);
  });

  test('is tried first on the campaigns with most orders, not on one that sells at other hours', () => {
    const campaigns = new Map([
      [1, aWeek(11, 900, pattern)],
      [2, aWeek(15, 1500, pattern)],
      [3, aWeek(13, 3000, (cell) => 1 / pattern(cell))],
      [4, aWeek(14, 20, pattern)],
    ]);
    expect(firstCampaigns(campaigns, rhythm).map(({ campaign }) => campaign)).toEqual([2, 1]);
  });
});
