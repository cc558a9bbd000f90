import { act, fireEvent, screen, within } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { draw } from '../../tests/make/page';
import { useColumns, VirtualTable } from '.';
import type { Column, Sort } from '.';

const COLUMNS: Column<number>[] = [
  { key: 'name', label: 'Name', width: 200, grows: 1, cell: (row) => `term ${row}` },
  { key: 'clicks', label: 'Clicks', width: 80, isFigure: true, sortable: true, cell: (row) => row * 2 },
  {
    key: 'spend',
    label: 'Spend',
    unit: 'EUR',
    width: 90,
    isFigure: true,
    sortable: true,
    definition: 'What clicks cost',
    cell: (row) => (row / 4).toFixed(2),
  },
];

let done: unknown[][] = [];
let columns: ReturnType<typeof useColumns<number>>;
function Table({ count, sorts = [] }: { count: number; sorts?: Sort[] }) {
  const [state, setState] = useState({
    shown: ['name', 'clicks', 'spend', 'gone'],
    widths: {} as Record<string, number>,
    pinned: ['name'],
  });
  const [focus, setFocus] = useState(0);
  columns = useColumns(COLUMNS, state, setState);
  const tell =
    (name: string) =>
    (...what: unknown[]) => {
      done.push([name, ...what]);
    };
  return (
    <VirtualTable
      label="Terms"
      columns={columns.columns}
      count={count}
      rowAt={(index) => index}
      keyAt={(index) => index}
      rowHeight={32}
      focus={focus}
      onFocus={setFocus}
      isSelected={(index) => index === 3}
      onSelect={tell('select')}
      sorts={sorts}
      onSort={tell('sort')}
      empty={<p>Nothing here.</p>}
      totals={(key) => (key === 'clicks' ? 1234 : '')}
      onResize={columns.resize}
      onMove={columns.move}
      onOpen={tell('open')}
    />
  );
}

// The page has no layout here: a table is as tall as it would be on a small screen.
beforeEach(() => {
  done = [];
  vi.spyOn(HTMLElement.prototype, 'clientHeight', 'get').mockReturnValue(320);
  vi.spyOn(HTMLElement.prototype, 'clientWidth', 'get').mockReturnValue(600);
});
afterEach(() => vi.restoreAllMocks());

const table = () => within(screen.getByRole('table', { name: 'Terms' }));
const headings = () =>
  table()
    .getAllByRole('columnheader')
    .map(({ textContent }) => textContent);
const rowOf = (index: number) =>
  table()
    .getAllByRole('row')
    .find((row) => row.getAttribute('aria-rowindex') === String(index + 1))!;

describe('a table', () => {
  test('of a hundred thousand rows holds those in sight, and says how many there are', () => {
    draw(<Table count={100_000} />);
    expect(screen.getByRole('table').getAttribute('aria-rowcount')).toBe('100000');
    const drawn = table().getAllByRole('row').length;
    expect(drawn).toBeGreaterThan(10);
    expect(drawn).toBeLessThan(60);
    expect(rowOf(2).textContent).toBe('term 240.50');
  });

  test('without rows says what the view says', () => {
    draw(<Table count={0} />);
    expect(table().getByText('Nothing here.')).toBeTruthy();
  });

  test('stands its totals under their columns', () => {
    draw(<Table count={5} />);
    const totals = within(table().getByRole('row', { name: 'Totals of the rows shown' }));
    expect(totals.getAllByRole('cell').map(({ textContent }) => textContent)).toEqual(['', '1234', '']);
  });

  test('says what it is ordered by, and asks for another order, or for one more', () => {
    draw(
      <Table
        count={5}
        sorts={[
          { by: 'spend', descending: true },
          { by: 'clicks', descending: false },
        ]}
      />,
    );
    expect(headings()).toEqual(['Name', 'Clicks ↑2', 'Spend EUR ↓1']);
    expect(
      table()
        .getAllByRole('columnheader')
        .map((one) => one.getAttribute('aria-sort')),
    ).toEqual([null, 'ascending', 'descending']);
    fireEvent.click(table().getByRole('button', { name: /Clicks/ }));
    fireEvent.click(table().getByRole('button', { name: /Spend/ }), { shiftKey: true });
    expect(done).toEqual([
      ['sort', 'clicks', false],
      ['sort', 'spend', true],
    ]);
  });

  test('tells what a column means, also to those who come by keyboard', async () => {
    draw(<Table count={1} />);
    fireEvent.mouseOver(table().getByRole('columnheader', { name: /^Spend/ }));
    expect((await screen.findByRole('tooltip')).textContent).toBe('Spend. What clicks cost');
  });

  test('goes to a row by a click, selects by Ctrl or Shift, opens by a double click', () => {
    draw(<Table count={9} />);
    expect(rowOf(3).getAttribute('aria-selected')).toBe('true');
    fireEvent.mouseDown(rowOf(4));
    expect([rowOf(4).dataset.focused, rowOf(0).dataset.focused]).toEqual(['true', undefined]);
    fireEvent.mouseDown(rowOf(5), { ctrlKey: true });
    fireEvent.mouseDown(rowOf(6), { shiftKey: true });
    fireEvent.doubleClick(rowOf(6));
    expect(done).toEqual([
      ['select', 5, false],
      ['select', 6, true],
      ['open', 6],
    ]);
  });
});

describe('the columns of a table', () => {
  test('are those that are chosen and known, the pinned ones first and in their place', () => {
    draw(<Table count={1} />);
    expect(columns.columns.map(({ key, pinnedAt }) => [key, pinnedAt])).toEqual([
      ['name', 0],
      ['clicks', undefined],
      ['spend', undefined],
    ]);
    act(() => columns.togglePin('spend'));
    expect(headings()).toEqual(['Name', 'Spend EUR', 'Clicks']);
    expect(columns.columns[1].pinnedAt).toBe(208);
    act(() => columns.togglePin('name'));
    expect(headings()).toEqual(['Spend EUR', 'Name', 'Clicks']);
  });

  test('go to the place of another, to the right as to the left', () => {
    draw(<Table count={1} />);
    act(() => columns.togglePin('name'));
    act(() => columns.move('name', 'clicks'));
    expect(headings()).toEqual(['Clicks', 'Name', 'Spend EUR']);
    act(() => columns.move('spend', 'clicks'));
    expect(headings()).toEqual(['Spend EUR', 'Clicks', 'Name']);
  });

  test('are taken away and come back at the end', () => {
    draw(<Table count={1} />);
    act(() => columns.toggle('clicks'));
    expect(headings()).toEqual(['Name', 'Spend EUR']);
    act(() => columns.toggle('clicks'));
    expect(headings()).toEqual(['Name', 'Spend EUR', 'Clicks']);
  });

  test('grow by keys on their grip, and never below what can be gripped', () => {
    draw(<Table count={1} />);
    const grip = () => screen.getByRole('separator', { name: /Clicks/ });
    const width = () => columns.columns.find(({ key }) => key === 'clicks')!.width as number;
    fireEvent.keyDown(grip(), { key: 'ArrowRight' });
    expect(width()).toBeGreaterThan(80);
    for (let press = 0; press < 60; press += 1) fireEvent.keyDown(grip(), { key: 'ArrowLeft' });
    expect(width()).toBeGreaterThanOrEqual(30);
  });
});
