import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import {
  addDays,
  dayNumber,
  daysIn,
  formatMoney,
  formatShare,
  isDay,
  microsToDecimal,
  roundDownToStep,
  toMicros,
} from '.';

describe('money', () => {
  test.each([
    [0, '0.00'],
    [1_230_000, '1.23'],
    [1_234_567, '1.234567'],
    [-500_000, '-0.50'],
    [90_000_000_000_000_000n, '90000000000.00'],
  ])('%s micros are written as %s', (micros, text) => expect(microsToDecimal(micros)).toBe(text));

  test('adding cents a million times loses nothing', () => {
    expect(microsToDecimal(toMicros(0.1) * 3)).toBe('0.30');
  });

  test('a bid that is on a step stays, any other goes down to one', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 100_000 }), fc.integer({ min: 0, max: 9_999 }), (cents, rest) => {
        expect(roundDownToStep(cents * 10_000 + rest, 10_000)).toBe(cents * 10_000);
      }),
    );
  });

  test('what has no value is a dash', () => {
    expect([formatMoney(null), formatShare(null)]).toEqual(['–', '–']);
  });
});

describe('days', () => {
  test('go over the ends of months and leap years', () => {
    expect(addDays('2028-02-28', 1)).toBe('2028-02-29');
    expect(addDays('2026-01-01', -1)).toBe('2025-12-31');
    expect(daysIn('2026-10-21', '2026-11-19')).toBe(30);
    expect(dayNumber('1970-01-02')).toBe(1);
  });

  test.each(['2026-02-31', '2026-13-01', '26-01-01', '2026-1-1', ''])('"%s" is no day', (text) =>
    expect(isDay(text)).toBe(false),
  );
});
