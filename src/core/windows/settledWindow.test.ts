import { describe, expect, test } from 'vitest';
import { comparedWindow, daysOfWindow, daysOfWords, lastDays, settledWindow } from '.';

describe('the usual window', () => {
  test('is 30 days and leaves out the three days before today, whose orders are still coming in', () => {
    expect(settledWindow('2026-11-22', '2026-11-23')).toEqual({
      from: '2026-10-21',
      to: '2026-11-19',
      unsettled: ['2026-11-20', '2026-11-21', '2026-11-22'],
      sums: [],
    });
  });

  test('of a report that ends long ago reaches its last day', () => {
    expect(settledWindow('2026-06-30', '2026-11-23', 7)).toEqual({
      from: '2026-06-24',
      to: '2026-06-30',
      unsettled: [],
      sums: [],
    });
  });

  test('of data that end yesterday but one leaves out what there is of the unsettled days', () => {
    expect(settledWindow('2026-11-20', '2026-11-23').unsettled).toEqual(['2026-11-20']);
  });
});

describe('a window in words', () => {
  test('means other days as time goes on', () => {
    expect(daysOfWindow(lastDays(60), 'settled', '2026-11-16')).toEqual({
      from: '2026-09-18',
      to: '2026-11-16',
    });
    expect(daysOfWindow(lastDays(60), 'settled', '2026-11-17').to).toBe('2026-11-17');
    expect(daysOfWindow('2026-11-01', '2026-11-07', '2026-11-16')).toEqual({
      from: '2026-11-01',
      to: '2026-11-07',
    });
  });

  test('is no day, and no number of days but 1 to 999', () =>
    expect(['last1', 'last999', 'last0', 'last1000', '2026-11-01'].map(daysOfWords)).toEqual([
      1,
      999,
      null,
      null,
      null,
    ]));
});

test('the window before is covered once the data reach back to its first day', () => {
  const window = { from: '2026-10-18', to: '2026-11-16' };
  expect(comparedWindow(window, { firstDay: '2026-09-18', sums: [] })).toEqual({
    from: '2026-09-18',
    to: '2026-10-17',
    isCovered: true,
  });
  expect(comparedWindow(window, { firstDay: '2026-09-19', sums: [] }).isCovered).toBe(false);
  expect(comparedWindow(window, { firstDay: null, sums: [] }).isCovered).toBe(false);
});
