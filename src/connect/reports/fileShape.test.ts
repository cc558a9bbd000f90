import { describe, expect, test } from 'vitest';
import { aReport, aReportRow, HEADINGS } from '../../../tests/make/report';
import { matchHeadings } from './fields';
import { findShape, headingSet, matchShape } from './fileShape';
import { REPORT_SPECS } from './reportSpec';

describe('the shape of a file is found from its beginning', () => {
  test.each([',', ';', '\t', '|'])('columns parted by %j', (delimiter) => {
    const { headings, skip } = findShape(REPORT_SPECS.terms, aReport({ delimiter }), 'EUR');
    expect([headings.length, skip]).toEqual([16, 0]);
  });

  test('commas inside quotes do not make it a comma file', () => {
    const shape = findShape(
      REPORT_SPECS.terms,
      'Date;"Campaign, ad group, target";Clicks;Spend\n2026-10-01;"a, b, c, d, e, f";1;0,50\n',
      'EUR',
    );
    expect(shape).toMatchObject({ delimiter: ';', notation: { mark: ',', isSure: true } });
    expect(shape.headings[1]).toBe('Campaign, ad group, target');
  });

  test('headings below a title of several lines', () => {
    const title = 'Search terms\nAccount: Tarnbrook, EUR\n\nMade on 2026-10-06\n';
    expect(findShape(REPORT_SPECS.terms, title + aReport(), 'EUR')).toMatchObject({
      skip: 3,
      headings: HEADINGS.split(','),
    });
  });

  test('a first row of figures is not taken for headings when none are there', () => {
    const { headings, skip } = findShape(REPORT_SPECS.terms, `${aReportRow()}\n${aReportRow()}\n`, 'EUR');
    expect([headings[0], skip]).toEqual(['2026-10-05', 0]);
  });

  test('decimals from the amounts, not from other columns', () => {
    const row = '05.10.2026;1.234;C 1.5;G;T 2.5;crock;exact;crock;120;6;3,10;1;1;18,90;EUR';
    expect(
      findShape(
        REPORT_SPECS.terms,
        `Date;x;Campaign;Ad group;y;Target;Match;Search term;Impressions;Clicks;Spend;Orders;Units;Sales;Currency\n${row}\n`,
        'EUR',
      ).notation.mark,
    ).toBe(',');
  });
});

describe('what a file cannot tell is asked', () => {
  const asks = (rows: string[], hints = {}) =>
    findShape(REPORT_SPECS.terms, aReport({ rows, delimiter: ';' }), 'EUR', hints).asks;

  test('whether “3.441” holds thousands; a single other value tells, and so does an answer given before', () => {
    const either = aReportRow({ spend: '3.441', sales: '12.500' });
    expect(asks([either])).toEqual({ decimals: '3.441', dayOrder: null });
    expect(asks([either, aReportRow({ spend: '3.10' })]).decimals).toBeNull();
    const met = new Map([
      [headingSet(HEADINGS.split(',')), { matched: {}, decimals: '.' as const, dayOrder: null }],
    ]);
    expect(asks([either], { met }).decimals).toBeNull();
  });

  test('whether the day or the month comes first, unless one day tells or all fit both ways alike', () => {
    const day = (text: string) => aReportRow({ day: text });
    expect(asks([day('05/11/2026'), day('06/11/2026')]).dayOrder).toBe('05/11/2026');
    expect(asks([day('05/11/2026'), day('13/11/2026')]).dayOrder).toBeNull();
    expect(asks([day('05/05/2026')]).dayOrder).toBeNull();
    expect(asks([day('05.11.2026')]).dayOrder).toBeNull();
  });

  test('a column in another currency does not count beside one in the account’s, and is refused alone', () => {
    const headings = [
      'Date',
      'Campaign',
      'Ad group',
      'Search term',
      'Impressions',
      'Clicks',
      'Spend',
      'Orders',
    ];
    const two = matchHeadings(REPORT_SPECS.terms, [...headings, 'Sales (CZK)', 'Sales (EUR)'], 'EUR');
    expect([two.columns.sales, two.several]).toEqual([9, []]);
    const alone = findShape(REPORT_SPECS.terms, `${[...headings, 'Sales ($)'].join(',')}\n`, 'EUR');
    expect(() => matchShape(REPORT_SPECS.terms, alone, {})).toThrow(
      '“Sales ($)” is in $; the account is in EUR',
    );
    const windows = matchHeadings(REPORT_SPECS.terms, [...headings, '7 day sales', '14 day sales'], 'EUR');
    expect(windows.several).toEqual([{ field: 'sales', headings: ['7 day sales', '14 day sales'] }]);
    expect(windows.missing).toEqual(['sales']);
  });
});

test('a set of headings is the same in any order and case', () => {
  expect(headingSet(['Day', ' Clicks'])).toBe(headingSet(['clicks', 'DAY ']));
  expect(headingSet(['Day', 'Clicks'])).not.toBe(headingSet(['Day', 'Click']));
});
