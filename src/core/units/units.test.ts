import fc from 'fast-check';
import { afterEach, describe, expect, test } from 'vitest';
import {
  addDays,
  dayNumber,
  daysIn,
  decimalMark,
  formatCount,
  formatDay,
  formatFullDay,
  formatMoney,
  formatMoneyOf,
  formatOnStep,
  showMoneyIn,
  formatNumber,
  formatShare,
  isDay,
  microsToDecimal,
  readNumber,
  roundDownToStep,
  showDaysFrom,
  toMicros,
  writeNumbersAs,
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

describe('a day that is shown', () => {
  afterEach(() => showDaysFrom('2026-11-23'));

  test('has its year where that is not the present one', () => {
    showDaysFrom('2026-11-23');
    expect([formatDay('2026-10-21'), formatDay('2025-12-31')]).toEqual(['21 Oct', '31 Dec 2025']);
    expect(formatDay('2026-10-21', '2027-01-02')).toBe('21 Oct 2026');
  });

  test('has its year always in sentences that are kept', () =>
    expect(formatFullDay('2026-10-01')).toBe('1 Oct 2026'));
});

describe('figures', () => {
  afterEach(() => writeNumbersAs('en-GB'));

  test('are written as the reader writes them, and read back to the same', () => {
    for (const locale of ['en-GB', 'de-DE', 'fr-FR', 'de-CH', 'sv-SE', 'en-IN']) {
      writeNumbersAs(locale);
      for (const value of [0, 7, 1234.5, -98765.25, 1234567.75])
        expect(readNumber(formatNumber(value, 2)), `${value} in ${locale}`).toBe(value);
    }
  });

  test('follow a change of mind at once; an unknown way is the usual one', () => {
    writeNumbersAs('de-DE');
    expect([formatMoney(1_234_500_000), formatShare(0.245), decimalMark()]).toEqual([
      '1.234,50',
      '24,5 %',
      ',',
    ]);
    writeNumbersAs('no such tag');
    expect(formatCount(12_345)).toBe('12,345');
  });

  test.each([
    ['EUR', '1,234.50', '0.30', '0.305'],
    ['JPY', '1,235', '0.3', '0.305'],
    ['KWD', '1,234.500', '0.300', '0.305'],
  ])(
    'of money in %s have its decimals, and what stands on a finer step has that of the step',
    (currency, ...texts) => {
      showMoneyIn(currency);
      expect([
        formatMoney(1_234_500_000),
        formatOnStep(300_000, 100_000),
        formatOnStep(305_000, 5000),
      ]).toEqual(texts);
      showMoneyIn('EUR');
      expect(formatMoneyOf(1_000_000_000, 'KRW')).toBe('1,000');
    },
  );

  test.each([
    ['1,25', 1.25],
    ['1.25', 1.25],
    [' 24 % ', 24],
    ['−5', -5],
    ['1,234.50', 1234.5],
    ['1.234,50', 1234.5],
    ['1 234 567,5', 1234567.5],
    ["1'234.5", 1234.5],
    ['.5', 0.5],
  ])('“%s” is %d, however it was typed or pasted', (text, value) => expect(readNumber(text)).toBe(value));

  test.each(['', 'x', '1,2,3', '1.2.3', '12,34.5', '3abc', '1e3', '--5', '1,234,567,', '1-2'])(
    '“%s” is no number',
    (text) => expect(readNumber(text)).toBeNull(),
  );
});
