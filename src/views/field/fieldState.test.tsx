import { act, renderHook } from '@testing-library/react';
import { beforeEach, describe, expect, test } from 'vitest';
import { readAnyOf } from '../../core/conditions';
import { LENSES } from '../../core/lenses';
import { READY_MADE } from './swaths/readyMade';
import { nextSorts, useFieldState, writeSorts } from './useFieldState';

const at = (address: string) => history.replaceState(null, '', address);
/** The view at an address, and what it does. */
function view() {
  const hook = renderHook(() => useFieldState());
  return {
    now: () => hook.result.current,
    does: (what: (state: ReturnType<typeof useFieldState>) => void) => act(() => what(hook.result.current)),
  };
}
const asked = () => new URLSearchParams(location.search);

beforeEach(() => at('/field?account=5'));

describe('a link to the field', () => {
  test('without more shows keywords by what they cost, as rows over the cut', () => {
    expect(view().now()).toMatchObject({
      lens: 'keywords',
      scope: null,
      stack: [],
      sorts: [{ by: 'spend', descending: true }],
      columns: null,
      shape: 'rows',
      picture: 'cut',
    });
  });

  test('carries lens, scope, window, conditions, order, columns and picture', () => {
    at(
      '/field?account=5&lens=terms&in=campaign.12&from=2026-10-01&to=2026-10-30&where=acos>=30&where=orders<=0|clicks>=9&sort=-sales,name&cols=name,acos&picture=trend&shape=cross&down=line&across=product&cell=cpc',
    );
    const { now } = view();
    expect(now()).toMatchObject({
      lens: 'terms',
      from: '2026-10-01',
      to: '2026-10-30',
      stack: [
        [{ field: 'acos', op: 'atLeast', value: 0.3 }],
        [
          { field: 'orders', op: 'atMost', value: 0 },
          { field: 'clicks', op: 'atLeast', value: 9 },
        ],
      ],
      sorts: [
        { by: 'sales', descending: true },
        { by: 'name', descending: false },
      ],
      columns: ['name', 'acos'],
      picture: 'trend',
      shape: 'cross',
      cell: 'cpc',
    });
  });

  test('with what there is not shows the usual instead, and conditions that cannot be read are left out', () => {
    at('/field?lens=weeds&picture=pie&shape=ball&in=nowhere&where=acos>=much&where=clicks>=3');
    expect(view().now()).toMatchObject({
      lens: 'keywords',
      picture: 'cut',
      shape: 'rows',
      scope: null,
      stack: [[{ field: 'clicks', op: 'atLeast', value: 3 }]],
    });
  });

  test('is what one sees: each step stands in the address', () => {
    const { now, does } = view();
    does((state) => state.setStack([[{ field: 'acos', op: 'atLeast', value: 0.3 }]]));
    does((state) => state.setSorts(nextSorts(state.sorts, 'name', true)));
    does((state) => state.setWindow('2026-10-01', '2026-10-07'));
    expect([asked().getAll('where'), asked().get('sort'), asked().get('from')]).toEqual([
      ['acos>=30'],
      '-spend,name',
      '2026-10-01',
    ]);
    expect(now().stack).toHaveLength(1);
  });

  test('to another lens leaves columns and order behind, which may not be there, and keeps the conditions', () => {
    at('/field?account=5&where=clicks>=3&cols=name,bid&sort=bid');
    const { does } = view();
    does((state) => state.setLens('terms'));
    expect([asked().get('lens'), asked().get('cols'), asked().get('sort'), asked().get('where')]).toEqual([
      'terms',
      null,
      null,
      'clicks>=3',
    ]);
  });

  test('goes into a scope in one step, and Back comes out of it', () => {
    const { now, does } = view();
    does((state) =>
      state.drill({ lens: 'ad-groups', scope: { kind: 'campaign', id: 12 }, where: ['spend>=5'] }),
    );
    expect(now()).toMatchObject({ lens: 'ad-groups', scope: { kind: 'campaign', id: 12 } });
    act(() => {
      at('/field?account=5');
      dispatchEvent(new PopStateEvent('popstate'));
    });
    expect(now()).toMatchObject({ lens: 'keywords', scope: null, stack: [] });
  });
});

describe('a click on a heading', () => {
  const spend = { by: 'spend', descending: true } as const;

  test('orders by figures from the top, by words from the first letter, and turns round the second time', () => {
    expect(nextSorts([spend], 'sales', false)).toEqual([{ by: 'sales', descending: true }]);
    expect(nextSorts([spend], 'name', false)).toEqual([{ by: 'name', descending: false }]);
    expect(nextSorts([spend], 'spend', false)).toEqual([{ by: 'spend', descending: false }]);
  });

  test('with Shift adds an order or turns one round where it stands', () => {
    const two = nextSorts([spend], 'acos', true);
    expect(writeSorts(two)).toBe('-spend,-acos');
    expect(writeSorts(nextSorts(two, 'spend', true))).toBe('spend,-acos');
  });
});

test('every ready-made swath names a lens that there is and conditions that can be read', () => {
  for (const { name, lens, conditions, sort } of READY_MADE) {
    expect(
      LENSES.some((one) => one.name === lens),
      name,
    ).toBe(true);
    for (const condition of conditions) expect(readAnyOf(condition), `${name}: ${condition}`).not.toBeNull();
    expect(sort, name).toMatch(/^-?\w+$/);
  }
});
