import { expect, test } from 'vitest';
import { currencyOfHeading, signsOf } from './currency';

test('a heading names a currency by its code or sign, and no word of the trade is taken for one', () => {
  expect(
    ['Sales (USD)', 'Spend [eur]', 'Cost $', 'Sales EUR', 'Spend, £', 'Sales_CZK'].map(currencyOfHeading),
  ).toEqual(['USD', 'EUR', '$', 'EUR', '£', 'CZK']);
  for (const heading of [
    'Top of search',
    'Spend (all)',
    'Impressions (Top)',
    'CLICKS TOP',
    'Sales',
    'Spend 7 day',
  ])
    expect([heading, currencyOfHeading(heading)]).toEqual([heading, null]);
});

test('an account’s own signs are its code, and what is written for it', () => {
  expect(signsOf('EUR').has('€')).toBe(true);
  expect(signsOf('CAD').has('$') && signsOf('CAD').has('CA$')).toBe(true);
  expect(signsOf('CAD').has('USD')).toBe(false);
});
