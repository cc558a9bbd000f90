import { expect, test } from 'vitest';
import { clockTrouble, lookAtClock } from './clock';

const NOON = Date.UTC(2026, 10, 29, 12);
const HOUR = 3_600_000;

test('a clock that jumps is told for an hour, one that is set right by seconds is not', () => {
  lookAtClock(NOON, 0);
  expect(clockTrouble(null, NOON + 60_000 + 2_000, 60_000)).toBeNull();
  expect(clockTrouble(null, NOON + 3 * HOUR + 120_000, 120_000)).toMatch(/forward by 3 h/);
  expect(clockTrouble(null, NOON + 4 * HOUR, HOUR)).toMatch(/forward by 3 h/);
  expect(clockTrouble(null, NOON + 4 * HOUR + 180_000, HOUR + 180_000)).toBeNull();
  expect(clockTrouble(null, NOON, HOUR + 240_000)).toMatch(/back by 4 h/);
});

test('two clocks apart are told while they are', () => {
  expect(clockTrouble(NOON - 5 * 60_000, NOON, HOUR + 240_000)).toMatch(/database are 5 min apart/);
});
