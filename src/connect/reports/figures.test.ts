import { describe, expect, test } from 'vitest';
import {
  REPORT_SPECS,
  findDecimalMark,
  matchHeadings,
  parseAmount,
  parseCount,
  parseDay,
  parseDays,
} from '.';
import type { DecimalMark } from '.';

const written = (mark: DecimalMark, currency = 'EUR') => ({ mark, isSure: true, currency });
const reasonOf = (parsed: unknown) => (parsed as { reason: string }).reason;

describe('amounts', () => {
  test.each([
    ['12', '.', 12_000_000],
    ['12.3', '.', 12_300_000],
    ['1,234.56', '.', 1_234_560_000],
    ['1.234,56', ',', 1_234_560_000],
    ['3,5', ',', 3_500_000],
    ['€ 3.10', '.', 3_100_000],
    ['3.10 EUR', '.', 3_100_000],
    ['1 234,50', ',', 1_234_500_000],
    ['.5', '.', 500_000],
    ['0.1234567', '.', 123_457],
    ['', '.', 0],
  ] as const)('"%s" with decimal "%s" is %s micros', (text, mark, micros) =>
    expect(parseAmount(text, 'Spend', written(mark))).toBe(micros),
  );

  test.each([
    ['-3.10', 'negative'],
    ['(3.10)', 'negative'],
    ['5.00-', 'negative'],
    ['–5.00', 'negative'],
    ['€ -5.00', 'negative'],
    ['15-25', 'not an amount'],
    ['12-15', 'not an amount'],
    ['3.10-5', 'not an amount'],
    ['1.2K', 'not an amount'],
    ['2 mio', 'not an amount'],
    ['30¢', 'is in ¢; the account is in EUR'],
    ['$3.10', 'is in $; the account is in EUR'],
    ['3.10 USD', 'is in USD; the account is in EUR'],
    ['12%', 'not an amount'],
    ['<5', 'not an amount'],
    ['~5', 'not an amount'],
    ['3abc', 'not an amount'],
    ['1 23', 'not an amount'],
    ['12 345 6', 'not an amount'],
    ['2026-10-05', 'not an amount'],
    ['1,23', 'not an amount'],
    ['1.2.3', 'not an amount'],
    ['n/a', 'not an amount'],
    ['99999999999', 'too large'],
  ])('"%s" is refused as %s', (text, why) =>
    expect(reasonOf(parseAmount(text, 'Spend', written('.')))).toContain(why),
  );
});

test('an account’s own signs may stand beside its amounts, whatever they are', () => {
  expect(parseAmount('3.10 zł', 'Spend', written('.', 'PLN'))).toBe(3_100_000);
  expect(parseAmount('kr 3,10', 'Spend', written(',', 'SEK'))).toBe(3_100_000);
  expect(parseAmount('$3.10', 'Spend', written('.', 'USD'))).toBe(3_100_000);
  expect(parseAmount('£3.10', 'Spend', written('.', 'GBP'))).toBe(3_100_000);
});

test('an amount whose mark nothing told is refused where it may hold thousands', () => {
  const unsure = { ...written('.'), isSure: false };
  for (const text of ['3,441', '2.000', '€ 2.000'])
    expect(reasonOf(parseAmount(text, 'Spend', unsure))).toContain('two ways');
  expect(parseAmount('2.50', 'Spend', unsure)).toBe(2_500_000);
  expect(parseAmount('0.125', 'Spend', unsure)).toBe(125_000);
  expect(findDecimalMark(['1.234.567'], ',')).toMatchObject({ mark: ',', isSure: true });
  expect(findDecimalMark(['3,441', '20'], ',')).toEqual({ mark: '.', isSure: false, either: '3,441' });
});

describe('counts', () => {
  test.each([
    ['17', 17],
    ['1,234', 1234],
    ['12.0', 12],
    ['', 0],
  ])('"%s" is %s', (text, count) => expect(parseCount(text, 'Clicks', written('.'))).toBe(count));

  test.each(['-1', '1.5', 'many', '99999999999', '1.000', '3-5', '1.2K', '12 %', '5 EUR', '<5', '3abc'])(
    '"%s" is refused',
    (text) => expect(reasonOf(parseCount(text, 'Clicks', written('.')))).toMatch(/^Clicks/),
  );
});

describe('the decimal mark of a file', () => {
  test.each([
    [['1.5', '20'], ',', '.'],
    [['1,5', '20'], ';', ','],
    [['1,234.50'], ';', '.'],
    [['1.234,50'], ',', ','],
    [['1,234'], ',', '.'],
    [['1.234'], ';', ','],
    [['0,125'], ',', ','],
  ])('of %j between "%s" is "%s"', (samples, delimiter, mark) =>
    expect(findDecimalMark(samples, delimiter).mark).toBe(mark),
  );
});

describe('days', () => {
  test.each([
    '2026-11-05',
    '2026/11/05',
    '20261105',
    '2026-11-05T10:00:00Z',
    '5.11.2026',
    '05/11/2026',
    '5-11-26',
    '5 Nov 2026',
    'Nov 5, 2026',
    'November 5, 2026',
  ])('"%s" is the fifth of November', (text) => expect(parseDay(text)).toBe('2026-11-05'));

  test.each(['31.02.2026', '2026-13-01', '', 'yesterday', '1999-12-31'])('"%s" is refused', (text) =>
    expect(reasonOf(parseDay(text))).toBeTruthy(),
  );

  test('a month of 23 is told to be read day first', () => {
    expect(reasonOf(parseDay('11/23/2026'))).toContain('day first');
    expect(parseDay('11/23/2026', 'month-first')).toBe('2026-11-23');
    expect(reasonOf(parseDay('23/11/2026', 'month-first'))).toContain('month first');
  });

  test('that fit both ways are refused while nobody told the order, and the others are read', () => {
    expect(reasonOf(parseDay('05/11/2026', null))).toContain('two ways');
    expect(parseDay('23/11/2026', null)).toBe('2026-11-23');
    expect(parseDay('11/23/2026', null)).toBe('2026-11-23');
    expect(parseDay('05.11.2026', null)).toBe('2026-11-05');
  });

  test('in a range are its first and last, never the first alone', () => {
    const week = { from: '2026-10-01', to: '2026-10-07' };
    for (const text of [
      '2026-10-01 - 2026-10-07',
      '2026-10-01 – 2026-10-07',
      '1 Oct 2026 to 7 Oct 2026',
      '01.10.2026 - 07.10.2026',
      '2026-10-01..2026-10-07',
    ])
      expect(parseDays(text)).toEqual(week);
    expect(reasonOf(parseDay('2026-10-01 - 2026-10-07'))).toContain('cannot be read');
    expect(parseDays('2026-10-01 09:30')).toEqual({ from: '2026-10-01', to: '2026-10-01' });
    expect(reasonOf(parseDays('2026-10-01 and more'))).toBeTruthy();
  });
});

describe('headings', () => {
  test('are matched whatever their case, order, brackets and attribution window', () => {
    const { columns, missing, unread } = matchHeadings(
      REPORT_SPECS.terms,
      [
        'Total Sales (EUR), 14 days',
        'DATE',
        'campaign name',
        'Ad-Group',
        'Customer Search Term',
        'Impr.',
        'CLICKS',
        'Cost',
        '7 Day Orders',
        'Portfolio',
      ],
      'EUR',
    );
    expect(missing).toEqual([]);
    expect(columns).toMatchObject({
      sales: 0,
      day: 1,
      campaign: 2,
      adGroup: 3,
      term: 4,
      impressions: 5,
      clicks: 6,
      spend: 7,
      orders: 8,
    });
    expect(unread).toEqual(['Portfolio']);
  });

  test('chosen by hand go before the wordings, and can be left out', () => {
    const { columns, missing } = matchHeadings(REPORT_SPECS.terms, ['Clicks', 'Taps'], 'EUR', {
      Clicks: '',
      Taps: 'clicks',
    });
    expect(columns.clicks).toBe(1);
    expect(missing).toContain('day');
  });
});
