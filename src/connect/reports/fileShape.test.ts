import { describe, expect, test } from 'vitest';
import { aReport, aReportRow, HEADINGS } from '../../../tests/make/report';
import { findShape, headingSet } from './fileShape';
import { REPORT_SPECS } from './reportSpec';

describe('the shape of a file is found from its beginning', () => {
  test.each([',', ';', '\t', '|'])('columns parted by %j', (delimiter) => {
    const { headings, skip } = findShape(REPORT_SPECS.terms, aReport({ delimiter }));
    expect([headings.length, skip]).toEqual([16, 0]);
  });

  test('commas inside quotes do not make it a comma file', () => {
    const shape = findShape(
      REPORT_SPECS.terms,
      'Date;"Campaign, ad group, target";Clicks;Spend\n2026-10-01;"a, b, c, d, e, f";1;0,50\n',
    );
    expect(shape).toMatchObject({ delimiter: ';', mark: ',' });
    expect(shape.headings[1]).toBe('Campaign, ad group, target');
  });

  test('headings below a title of several lines', () => {
    const title = 'Search terms\nAccount: Tarnbrook, EUR\n\nMade on 2026-10-06\n';
    expect(findShape(REPORT_SPECS.terms, title + aReport())).toMatchObject({
      skip: 3,
      headings: HEADINGS.split(','),
    });
  });

  test('a first row of figures is not taken for headings when none are there', () => {
    const { headings, skip } = findShape(REPORT_SPECS.terms, `${aReportRow()}\n${aReportRow()}\n`);
    expect([headings[0], skip]).toEqual(['2026-10-05', 0]);
  });

  test('decimals from the amounts, not from other columns', () => {
    const row = '05.10.2026;1.234;C 1.5;G;T 2.5;crock;exact;crock;120;6;3,10;1;1;18,90;EUR';
    expect(
      findShape(
        REPORT_SPECS.terms,
        `Date;x;Campaign;Ad group;y;Target;Match;Search term;Impressions;Clicks;Spend;Orders;Units;Sales;Currency\n${row}\n`,
      ).mark,
    ).toBe(',');
  });
});

test('a set of headings is the same in any order and case', () => {
  expect(headingSet(['Day', ' Clicks'])).toBe(headingSet(['clicks', 'DAY ']));
  expect(headingSet(['Day', 'Clicks'])).not.toBe(headingSet(['Day', 'Click']));
});
