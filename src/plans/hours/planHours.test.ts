import { expect, test } from 'vitest';
import { hourReason, planHours, scheduleStake, wantsOf } from '.';
import type { HourParts } from '.';
import { USUAL_LIMITS } from '../../core/changes';
import { readWeek } from '../../core/schedules';

const CELLS = Array.from({ length: 168 }, (_, cell) => cell);
/** Evenings sell twice as well; four campaigns with 20 clicks an hour and an order of each ten. */
const sells = (cell: number) => (cell % 24 >= 18 ? 3.2 : 1.6);
const CAMPAIGNS = [1, 2, 3, 4];
const each = <T>(of: (cell: number) => T) => CAMPAIGNS.flatMap(() => CELLS.map(of));

const plan = (over: Partial<HourParts> = {}) =>
  planHours({
    figures: {
      campaign: CAMPAIGNS.flatMap((id) => CELLS.map(() => id)),
      cell: each((cell) => cell),
      clicks: each(() => 20),
      orders: each(sells),
      spend: each(() => 8e6),
      sales: each((cell) => 20e6 * sells(cell)),
    },
    weeks: 1,
    raisesOnly: false,
    isOffered: true,
    campaigns: [...CAMPAIGNS, 5].map((id) => ({ id, runs: id !== 4, products: [id] })),
    running: [],
    named: [],
    inTrial: new Set(),
    used: new Map(),
    bids: new Map(),
    newName: 'Pattern',
    ...over,
  });
const leftOf = (over: Partial<HourParts> = {}) =>
  Object.fromEntries(plan(over).rows.map(({ campaignId, left }) => [campaignId, left]));

test('campaigns that run and sell are to follow the pattern; with what it wins at the same ACOS', () => {
  const { rows, worth, proposal } = plan();
  expect(worth.isWorthIt).toBe(true);
  const week = readWeek(proposal.week)!;
  expect(week[20]).toBeGreaterThan(week[10]);
  expect(leftOf()).toEqual({ 1: null, 2: null, 3: null, 4: 'not running', 5: 'no sales' });
  const [row] = rows;
  expect(scheduleStake(row)).toBeCloseTo(row.now.sales * proposal.gain, 0);
  expect(row.after.spend / row.after.sales).toBeCloseTo(row.now.spend / row.now.sales, 9);
  expect(wantsOf(row, USUAL_LIMITS)).toMatchObject([
    { change: { kind: 'add-schedule', campaignId: 1, name: 'Pattern', week: proposal.week } },
  ]);
});

test('where the budget has no room for the hours that are raised, money comes first', () => {
  const used = new Map([
    [1, 0.9],
    [2, 0.2],
  ]);
  expect(leftOf({ used })).toMatchObject({ 1: 'held by money', 2: null, 3: null });
  const [row] = plan({ used }).rows;
  expect([scheduleStake(row), wantsOf(row, USUAL_LIMITS), row.isFirst]).toEqual([0, [], false]);
  expect(hourReason(row)).toContain('Give it money first');
});

test('one in a trial, or that follows such a week already, is left alone; one that follows a bad one is not', () => {
  const { proposal } = plan();
  const follows = (week: string) => [{ scheduleId: 9, campaignId: 1, name: 'Old', week }];
  expect(leftOf({ inTrial: new Set([2]) })[2]).toBe('in a trial');
  expect(leftOf({ running: follows(proposal.week) })[1]).toBe('follows one');
  const wrong = plan({ running: follows(new Array(7).fill('30*18 -30*6').join(' ')) }).rows[0];
  expect(wrong.left).toBe(null);
  // Another name: the old one ends before the new one begins.
  expect(wantsOf(wrong, USUAL_LIMITS).map(({ change }) => change.kind)).toEqual([
    'end-schedule',
    'add-schedule',
  ]);
});

test('a market without schedules, and one where they only raise', () => {
  expect(leftOf({ isOffered: false })[1]).toBe('no pattern');
  const bids = new Map([[1, [{ targetId: 7, bid: 1_000_000 }]]]);
  const { rows } = plan({ raisesOnly: true, bids });
  expect(readWeek(rows[0].week)!.every((percent) => percent >= 0)).toBe(true);
  const [schedule, base] = wantsOf(rows[0], USUAL_LIMITS);
  expect(schedule.change.kind).toBe('add-schedule');
  expect(base.change).toMatchObject({ kind: 'set-bid', targetId: 7, from: 1_000_000 });
  expect((base.change as { to: number }).to).toBeLessThan(1_000_000);
});
