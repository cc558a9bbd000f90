import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { aTree, aTreeTarget, sumsByTarget } from '../../../tests/make/lenses';
import { arrangeRows, readAnyOf } from '../conditions';
import { measure } from '../measures';
import {
  buildLens,
  knownTerms,
  crossTabOf,
  LENS_NAMES,
  lensReader,
  noSumColumns,
  pathOf,
  rankRows,
  readScope,
  rowsInScope,
  spreadOf,
  STANDINGS,
  standingOf,
  sumOfRows,
  sumStandings,
  writeScope,
} from '.';
import { indexTree } from '../structure';
import type { LensName, LensTable, RowPeriods } from '.';

const index = indexTree(aTree());
const sums = sumsByTarget([
  {
    id: 1001,
    now: { impressions: 900, clicks: 100, spend: 40, orders: 4, sales: 240 },
    before: { spend: 10, sales: 240, clicks: 25 },
  },
  { id: 1002, now: { impressions: 500, clicks: 50, spend: 30 } },
  {
    id: 1003,
    now: { impressions: 200, clicks: 40, spend: 20, orders: 8, sales: 480 },
    before: { spend: 30, sales: 480, clicks: 60 },
  },
  { id: 1005, now: { impressions: 100, clicks: 10, spend: 3, orders: 1, sales: 12 } },
]);
const lens = (name: LensName) => buildLens(name, index, sums);
const all = (table: LensTable) => rowsInScope(table, null);
const names = (table: LensTable, rows = all(table)) => [...rows].map((row) => table.name[row]);
const meets = (table: LensTable, ...stack: string[]) =>
  names(
    table,
    arrangeRows(
      lensReader(table),
      all(table),
      stack.map((text) => readAnyOf(text)!),
      [],
    ),
  );

describe('a lens', () => {
  test('shows each target in exactly one of keywords, product targets and auto targets', () => {
    expect(names(lens('keywords'))).toEqual(['stoneware crock']);
    expect(names(lens('items'))).toEqual(['QY7K3M92TD']);
    expect(names(lens('auto'))).toEqual(['near searches', 'rival items', 'near searches']);
  });

  test.each(
    LENS_NAMES.filter((name) => !['terms', 'placements', 'keywords', 'items', 'auto'].includes(name)),
  )('of %s holds every figure of the account once', (name) => {
    const table = lens(name);
    expect(sumOfRows(table.now, all(table))).toMatchObject({ clicks: 200, spend: 93_000_000, orders: 13 });
    expect(sumOfRows(table.before, all(table))).toMatchObject({ clicks: 85, spend: 40_000_000 });
  });

  test('computes the ACOS of a campaign from its sums, never from its targets’ ACOS', () => {
    const table = lens('campaigns');
    const acos = lensReader(table).number('acos');
    expect(acos(0)).toBeCloseTo(70 / 240, 12);
  });

  test('leaves out what is archived, unless it has figures', () => {
    const tree = aTree();
    tree.targets.push(
      aTreeTarget({ id: 2001, adGroupId: 12, expression: 'gone', state: 'archived' }),
      aTreeTarget({ id: 2002, adGroupId: 12, expression: 'gone but sold', state: 'archived' }),
    );
    const figures = sumsByTarget([{ id: 2002, now: { impressions: 5, clicks: 1, spend: 1 } }]);
    expect(names(buildLens('keywords', indexTree(tree), figures))).toEqual([
      'stoneware crock',
      'gone but sold',
    ]);
  });

  test('tells the bid that counts: a target without one of its own bids its ad group’s default', () => {
    const table = lens('auto');
    expect([...table.value]).toEqual([400_000, 300_000, 500_000]);
    expect([...table.isInherited]).toEqual([0, 1, 0]);
  });

  test('of search terms has a row for each target that caught one', () => {
    const grain = {
      ...sumsByTarget([
        { id: 1001, now: { clicks: 5 } },
        { id: 1003, now: { clicks: 7 } },
      ]),
      termId: Int32Array.of(1, 1),
    };
    const lists = { own: [], rival: ['crock'], unwanted: [] };
    const terms = knownTerms(
      { id: [1, 2], first: [20_400, 20_000], text: ['crock 5 l', 'older'] },
      '2025-11-01',
      lists,
    );
    const table = buildLens('terms', index, grain, terms);
    expect(names(table)).toEqual(['crock 5 l', 'crock 5 l']);
    expect(table.kind).toEqual(['near searches', 'exact']);
    const told = lensReader(table);
    expect([told.choice('termKind')(0), told.choice('seen')(0)]).toEqual(['rival brand', 'in this window']);
  });

  test('of placements tells the campaign’s modifier, where it was told', () => {
    const { now, before, size } = sumsByTarget([{ id: 0, now: { clicks: 9, spend: 3 } }]);
    const of = (at: typeof index) =>
      buildLens('placements', at, {
        now,
        before,
        size,
        campaignId: Int32Array.of(1),
        placement: Int32Array.of(2),
        isBeforeCovered: true,
      });
    expect(of(index)).toMatchObject({ name: ['product pages'], place: ['Crock auto'] });
    expect(of(index).value[0]).toBe(0.1);
    const { campaigns } = aTree();
    const untold = campaigns.map((one) => ({ ...one, modifiersKnown: false }));
    expect(of(indexTree(aTree({ campaigns: untold }))).value[0]).toBeNaN();
  });

  test('says how old the last change is, and how a target fares against its target and against break-even', () => {
    const changed = indexTree(aTree({ lastChanges: [{ entity: 'target', id: 1003, day: '2026-11-20' }] }));
    const reader = lensReader(buildLens('keywords', changed, sums));
    expect(reader.number('age')(0)).toBe(3);
    expect(reader.number('vsTarget')(0)).toBeCloseTo(20 / 480 / 0.25, 12);
    expect(reader.number('loss')(0)).toBeCloseTo(20e6 - 0.25 * 480e6, 3);
    expect(reader.number('breakEvenLoss')(0)).toBeCloseTo(20e6 - 0.3 * 480e6, 3);
    expect(reader.number('d.spend')(0)).toBe(-10e6);
  });

  test('without known costs has no break-even, which is not zero', () => {
    const reader = lensReader(lens('products'));
    expect(reader.number('breakEvenLoss')(1)).toBeNull();
  });
});

describe('how a row stands', () => {
  const estimate = { low: 1_000_000, high: 3_000_000, isThin: false };
  test.each<[string, number, boolean, string]>([
    ['costs less than even the low estimate allows', 240_000, false, 'earning'],
    ['lies between', 500_000, false, 'near'],
    ['lies between on thin evidence', 500_000, true, 'early'],
    ['costs more than even the high estimate allows', 760_000, true, 'losing'],
  ])('%s', (_, cpc, isThin, standing) =>
    expect(standingOf({ clicks: 10, spend: 10 * cpc }, { ...estimate, isThin }, 0.25)).toBe(standing),
  );

  test('without clicks, or without a target, it is too early to say', () => {
    expect(standingOf({ clicks: 0, spend: 0 }, estimate, 0.25)).toBe('early');
    expect(standingOf({ clicks: 5, spend: 1 }, estimate, NaN)).toBe('early');
  });

  test('the four standings share out all rows and all spend', () => {
    const table = lens('auto');
    const standings = sumStandings(table, all(table));
    expect(standings.map(({ standing }) => standing)).toEqual([...STANDINGS]);
    expect(standings.reduce((sum, { count }) => sum + count, 0)).toBe(3);
    expect(standings.reduce((sum, { spend }) => sum + spend, 0)).toBe(73e6);
  });
});

describe('conditions on a lens', () => {
  test('can be on what a row is, on its distance from target, on its move', () => {
    const table = lens('auto');
    expect(meets(table, 'kind=near searches')).toHaveLength(2);
    expect(meets(table, 'orders<=0', 'clicks>=20')).toEqual(['rival items']);
    expect(meets(table, 'place~brine')).toEqual(['near searches']);
    expect(meets(table, 'd.spend>=25')).toEqual(['near searches', 'rival items']);
    expect(meets(table, 'place~brine|kind=rival items')).toHaveLength(2);
  });
});

describe('a scope', () => {
  test('holds what lies below it, in every lens', () => {
    const table = lens('auto');
    expect(names(table, rowsInScope(table, { kind: 'product', id: 101 }))).toEqual([
      'near searches',
      'rival items',
    ]);
    expect(rowsInScope(lens('campaigns'), { kind: 'line', id: 7 })).toHaveLength(3);
  });

  test('knows its way from the line down', () => {
    expect(pathOf(index, { kind: 'target', id: 1003 }).map(({ name }) => name)).toEqual([
      'Fermenting',
      'Stoneware crock',
      'Crock exact',
      'group 12',
      'stoneware crock',
    ]);
    expect(pathOf(index, null)).toEqual([]);
  });

  test('comes back from a link as it was', () => {
    expect(readScope(writeScope({ kind: 'ad-group', id: 12 }))).toEqual({ kind: 'ad-group', id: 12 });
    expect(readScope('planet:3')).toBeNull();
  });
});

describe('a cross-tab', () => {
  const table = lens('auto');
  const cross = crossTabOf(table, all(table), index, 'campaign', 'kind');

  test('has true ratios in cells and totals', () => {
    const acos = measure('acos');
    expect(acos.of(cross.total.sums)).toBeCloseTo(73 / 252, 12);
    expect(acos.of(cross.rows[0].total.sums)).toBeCloseTo(70 / 240, 12);
    expect(cross.rows.map(({ name }) => name)).toEqual(['Crock auto', 'Brine auto']);
    expect(cross.cells[1][1]).toBeUndefined();
  });

  test('spreads over weeks and months in their order, each week parted by the months that it lies in', () => {
    const starts = ['2026-11-02', '2026-10-26', '2026-11-01', '2026-10-26'];
    const periods: RowPeriods = {
      window: { from: '2026-10-26', to: '2026-11-08' },
      row: Int32Array.of(0, 0, 0, 1),
      start: starts,
      sums: { ...noSumColumns(4), spend: Float64Array.of(5, 7, 2, 4) },
    };
    const weeks = crossTabOf(table, all(table), index, 'week', 'month', periods);
    expect(weeks.rows.map(({ name, total }) => [name, total.sums.spend])).toEqual([
      ['26 Oct – 1 Nov', 13],
      ['2 Nov – 8 Nov', 5],
    ]);
    expect(weeks.columns.map(({ total }) => total.sums.spend)).toEqual([11, 7]);
    expect(weeks.cells.map((row) => row.map((cell) => cell?.sums.spend))).toEqual([
      [11, 2],
      [undefined, 5],
    ]);
    expect(() => crossTabOf(table, all(table), index, 'kind', 'week')).toThrow('needs');
  });

  test('adds up: each total is the sum of its cells, whatever is spread over what', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('campaign', 'ad-group', 'product', 'line', 'kind', 'state', 'standing', 'evidence'),
        fc.constantFrom('campaign', 'ad-group', 'product', 'line', 'kind', 'state', 'standing', 'evidence'),
        (down, across) => {
          const { rows, cells, total } = crossTabOf(table, all(table), index, down as never, across as never);
          const spend = cells.map((row) => row.reduce((sum, cell) => sum + (cell?.sums.spend ?? 0), 0));
          expect(spend).toEqual(rows.map((one) => one.total.sums.spend));
          expect(spend.reduce((a, b) => a + b, 0)).toBe(total.sums.spend);
        },
      ),
    );
  });
});

describe('a ranking', () => {
  test('tells shares of the total for what adds up, and none for ratios', () => {
    const values = [5, null, 20, 75];
    const read = (row: number) => values[row];
    expect(rankRows([0, 1, 2, 3], read, 2, true)).toMatchObject({
      top: [
        { row: 3, share: 0.75 },
        { row: 2, share: 0.2 },
      ],
      rest: { count: 1, value: 5 },
    });
    expect(rankRows([0, 2], read, 2, false).top[0].share).toBeNull();
  });
});

describe('a histogram', () => {
  test('counts every row that has a value, a giant too, and says how many have none', () => {
    const values = [...Array.from({ length: 400 }, (_, at) => at % 20), 1e9, null, null];
    const rows = values.map((_, at) => at);
    const spread = spreadOf(
      rows,
      (row) => values[row],
      () => 1,
    );
    expect(spread.bars.reduce((sum, { count }) => sum + count, 0)).toBe(401);
    expect(spread).toMatchObject({ without: 2, beyond: 1 });
    expect(spread.bars.at(-1)!.x1).toBeLessThan(100);
    expect(spread.median).toBeGreaterThan(8);
  });
});
