import { expect, test } from 'vitest';
import { estimateTrial, isOnWeek } from '../../../core/trials';
import { trialWords } from './trialWords';

const sums = (orders: number) => ({ clicks: 10 * orders, orders, spend: 4e6 * orders, sales: 20e6 * orders });
const estimateOf = (count: number, more: number) =>
  estimateTrial(
    Array.from({ length: count }, (_, week) => ({
      isOn: isOnWeek(week),
      own: sums(isOnWeek(week) ? 200 * (1 + more) : 200),
      others: sums(0),
    })),
    8,
  );
const running = {
  state: 'running' as const,
  why: null,
  verdict: null,
  isOn: true,
  nextSwitch: '2026-12-07',
  settled: [0, 1, 2, 3],
  weeks: 8,
  endedOn: null,
};

test('a trial that runs says how it stands, and is not told before it can be', () => {
  expect(trialWords({ ...running, estimate: estimateOf(0, 0) })).toMatch(/^On now, until 7 Dec.*Too early/);
  expect(trialWords({ ...running, estimate: estimateOf(4, 0.1) })).toMatch(/4 of 8 weeks.*not enough to say/);
  expect(trialWords({ ...running, nextSwitch: null, isOn: false, estimate: estimateOf(6, 0) })).toMatch(
    /Orders still come in/,
  );
});

test('one that is over says what it came to, with the interval, or that nothing was to be seen', () => {
  const over = {
    ...running,
    state: 'ended' as const,
    nextSwitch: null,
    isOn: false,
    settled: [0, 1, 2, 3, 4, 5, 6, 7],
  };
  const told = (verdict: 'better' | 'not told', more: number) => {
    const estimate = estimateOf(8, more);
    return trialWords({ ...over, estimate, verdict: { verdict, estimate } });
  };
  expect(told('better', 0.3)).toBe('It sells more: +30 % in ad sales, +21 % to +39 %.');
  expect(told('not told', 0)).toMatch(/No difference that these weeks could show: \+0 %/);
  const stopped = { ...over, state: 'stopped' as const, why: 'Stopped by hand.', estimate: estimateOf(1, 0) };
  expect(trialWords({ ...stopped, verdict: { verdict: 'not told', estimate: stopped.estimate } })).toBe(
    'Stopped by hand. It came to an end before both kinds of weeks were settled: nothing is told.',
  );
});
