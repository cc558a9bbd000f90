import { describe, expect, test } from 'vitest';
import { settledWindow } from '.';

describe('the usual window', () => {
  test('is 30 days and leaves out the three days before today, whose orders are still coming in', () => {
    expect(settledWindow('2026-11-22', '2026-11-23')).toEqual({
      from: '2026-10-21',
      to: '2026-11-19',
      unsettled: ['2026-11-20', '2026-11-21', '2026-11-22'],
    });
  });

  test('of a report that ends long ago reaches its last day', () => {
    expect(settledWindow('2026-06-30', '2026-11-23', 7)).toEqual({
      from: '2026-06-24',
      to: '2026-06-30',
      unsettled: [],
    });
  });

  test('of data that end yesterday but one leaves out what there is of the unsettled days', () => {
    expect(settledWindow('2026-11-20', '2026-11-23').unsettled).toEqual(['2026-11-20']);
  });
});
