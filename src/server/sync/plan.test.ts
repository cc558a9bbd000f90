import { describe, expect, test } from 'vitest';
import { addDays } from '../../core/units';
import type { SyncDay } from '../../db/queries/syncDays';
import { REPORT_KINDS } from '../../contract/facts';
import { missingDays, planOrders } from './plan';

const TODAY = '2026-11-23';
const FIRST = '2026-10-01';
/** All days of all kinds, as of some day of the market. */
const all = (asOf: (day: string) => string, leaveOut: string[] = []): SyncDay[] =>
  REPORT_KINDS.flatMap((kind) =>
    Array.from({ length: 53 }, (_, at) => addDays(FIRST, at))
      .filter((day) => !leaveOut.includes(day))
      .map((day) => ({ kind, day, asOf: asOf(day) })),
  );
const terms = (known: SyncDay[]) => planOrders(known, FIRST, TODAY).filter(({ kind }) => kind === 'terms');

describe('what a sync asks for', () => {
  test('is everything at first, in reports of a few days, search terms first', () => {
    const orders = planOrders([], FIRST, TODAY);
    expect(orders[0]).toEqual({ kind: 'terms', from: '2026-10-01', to: '2026-10-10' });
    expect(terms([]).at(-1)).toEqual({ kind: 'terms', from: '2026-11-20', to: '2026-11-22' });
  });

  test('is nothing when everything was made today', () => {
    expect(
      planOrders(
        all(() => TODAY),
        FIRST,
        TODAY,
      ),
    ).toEqual([]);
  });

  test('is the last days again when they were fetched before all their orders were in', () => {
    const yesterday = addDays(TODAY, -1);
    expect(terms(all(() => yesterday))).toEqual([
      { kind: 'terms', from: '2026-11-08', to: '2026-11-17' },
      { kind: 'terms', from: '2026-11-18', to: '2026-11-22' },
    ]);
  });

  test('does not ask again for days that were final when they were fetched, nor for kinds without late orders', () => {
    const orders = planOrders(
      all((day) => addDays(day, 15)),
      FIRST,
      TODAY,
    );
    expect(orders).toEqual([]);
    expect(
      planOrders(
        all(() => addDays(TODAY, -1)),
        FIRST,
        TODAY,
      ).map(({ kind }) => kind),
    ).not.toContain('sales');
  });

  test('is a day that is missing in the middle, by itself', () => {
    const known = all(() => TODAY, ['2026-10-20']);
    expect(terms(known)).toEqual([{ kind: 'terms', from: '2026-10-20', to: '2026-10-20' }]);
    expect(missingDays(known, 'terms', FIRST, TODAY)).toEqual(['2026-10-20']);
  });
});
