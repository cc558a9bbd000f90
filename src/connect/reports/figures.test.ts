import { describe, expect, test } from 'vitest';
import { REPORT_SPECS, findDecimalMark, matchHeadings, parseAmount, parseCount, parseDay } from '.';

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
    expect(parseAmount(text, 'Spend', mark)).toBe(micros),
  );

  test.each([
    ['-3.10', 'negative'],
    ['(3.10)', 'negative'],
    ['1,23', 'not an amount'],
    ['1.2.3', 'not an amount'],
    ['n/a', 'not an amount'],
    ['99999999999', 'too large'],
  ])('"%s" is refused as %s', (text, why) =>
    expect(reasonOf(parseAmount(text, 'Spend', '.'))).toContain(why),
  );
});

describe('counts', () => {
  test.each([
    ['17', 17],
    ['1,234', 1234],
    ['12.0', 12],
    ['', 0],
  ])('"%s" is %s', (text, count) => expect(parseCount(text, 'Clicks', '.')).toBe(count));

  test.each(['-1', '1.5', 'many', '99999999999'])('"%s" is refused', (text) =>
    expect(reasonOf(parseCount(text, 'Clicks', '.'))).toMatch(/^Clicks/),
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
    expect(findDecimalMark(samples, delimiter)).toBe(mark),
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
  });
});

describe('headings', () => {
  test('are matched whatever their case, order, brackets and attribution window', () => {
    const { columns, missing, unread } = matchHeadings(REPORT_SPECS.terms, [
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
    ]);
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
    const { columns, missing } = matchHeadings(REPORT_SPECS.terms, ['Clicks', 'Taps'], {
      Clicks: '',
      Taps: 'clicks',
    });
    expect(columns.clicks).toBe(1);
    expect(missing).toContain('day');
  });
});
