import { chanceToReach, meanWhereReached, neededConversion } from '../evidence';
import type { ConversionPrior } from '../evidence';
import { orderByNumbers } from '../order';
import { DAYS_PER_MONTH } from '../units';
import type { TestRule } from './observations';
import type { TestWorth } from './proposal';
import { leaveAlone, stepIndex } from './proposalColumns';
import type { ProposalColumns } from './proposalColumns';
import { testRoom } from './testRoom';

/** Clicks a month that are taken where none came: half a click says that there may be some. */
const LEAST_CLICKS = 0.5;

/** What a test is judged by. Money in micros. */
export interface TestAsked {
  /** Clicks a day at the present bid. */
  flow: number;
  /** Bid after / bid now. */
  x: number;
  /** What a click costs at most after: bid times the raise of its placements; and what it is expected to cost. */
  price: number;
  cpcAfter: number;
  spendNow: number;
  targetAcos: number;
  /** Order value at the campaign's mix of placements. */
  value: number;
  exposure: number;
  orders: number;
  prior: ConversionPrior;
}

/**
 * What there is to learn from raising an unproven target: with the conversion that it needs at the raised bid,
 * CVR* = CPC after / (target x V), chance = P(CVR >= CVR*), gain = clicks x (target x V x E[CVR | CVR >= CVR*] - CPC after) a month,
 * cost = clicks x full bid - what it spends now.
 */
export function testWorth(asked: TestAsked): TestWorth {
  const { flow, x, price, cpcAfter, spendNow, targetAcos, value, exposure, orders, prior } = asked;
  const clicks = Math.max(LEAST_CLICKS, flow * DAYS_PER_MONTH) * x;
  const needed = neededConversion(cpcAfter, targetAcos, value);
  const chance = chanceToReach(needed, exposure, orders, prior);
  const good = meanWhereReached(needed, exposure, orders, prior);
  const gain = chance > 0 ? (clicks * (targetAcos * value * good - cpcAfter * chance)) / chance : 0;
  return { gain: Math.max(0, gain), chance, cost: Math.max(0, clicks * price - spendNow) };
}

/** What one learns for each unit of money: expected gain if it proves good x chance / cost. */
export function learntPerCost({ gain, chance, cost }: TestWorth): number {
  return cost > 0 ? (gain * chance) / cost : gain > 0 ? Infinity : 0;
}

/**
 * Leaves the tests alone that go beyond a cap; the best stand first in line.
 * @param room micros a month that may still be spent on tests @param within the same for parts of the account that have a cap of their own
 */
export function capTests(columns: ProposalColumns, room: number, within: TestRule['within'] = []): void {
  const { step, testGain, testChance, testCost } = columns;
  const isTest = stepIndex('test');
  const tests = new Int32Array(step.reduce((sum, one) => sum + (one === isTest ? 1 : 0), 0));
  for (let target = 0, at = 0; target < step.length; target += 1)
    if (step[target] === isTest) tests[at++] = target;
  const left = testRoom<number>(
    room,
    within.map(({ targets, room: own }) => {
      const its = new Set(targets);
      return { has: (target) => its.has(target), room: own };
    }),
  );
  const last = new Float64Array(columns.size);
  for (const target of tests)
    last[target] = -learntPerCost({
      gain: testGain[target],
      chance: testChance[target],
      cost: testCost[target],
    });
  for (const target of orderByNumbers(tests, last))
    if (!left.take(target, testCost[target])) leaveAlone(columns, target, 'test cap');
}
