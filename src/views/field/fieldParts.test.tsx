import { cleanup, fireEvent, screen } from '@testing-library/react';
import { useState } from 'react';
import { describe, expect, test } from 'vitest';
import { draw } from '../../../tests/make/page';
import { LENSES } from '../../core/lenses';
import { useColumns } from '../../table';
import type { Column } from '../../table';
import { formatField, formatMove } from '../shared/formatValue';
import { countWords } from '../shared/rowRequest';
import { LensBar } from './LensBar';
import { ColumnsMenu } from './rows/ColumnsMenu';
import type { FieldState } from './useFieldState';
import { NumberField } from '../shared/kit';

const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

describe('the bar of lenses', () => {
  function bar(over: Partial<FieldState> = {}, path: Parameters<typeof LensBar>[0]['path'] = []) {
    const done: unknown[][] = [];
    const tell =
      (name: string) =>
      (...what: unknown[]) => {
        done.push([name, ...what]);
      };
    const state = {
      lens: 'terms',
      shape: 'rows',
      setLens: tell('lens'),
      setShape: tell('shape'),
      setScope: tell('scope'),
      ...over,
    } as unknown as FieldState;
    draw(<LensBar state={state} path={path} />);
    return done;
  }

  test('offers every lens by its name and its digit, and says which one is shown', () => {
    const done = bar();
    const tabs = screen.getAllByRole('tab');
    expect(tabs.map(({ textContent, title }) => [textContent, title])).toEqual(
      LENSES.map(({ label }, at) => [label, `Look at ${label.toLowerCase()} (${at + 1})`]),
    );
    expect(tabs.filter((tab) => tab.getAttribute('aria-selected') === 'true')).toHaveLength(1);
    fireEvent.click(tabs[0]);
    press('Cross-tab');
    expect(done).toEqual([
      ['lens', LENSES[0].name],
      ['shape', 'cross'],
    ]);
  });

  test('shows where one is, and leads out step by step', () => {
    const done = bar({}, [
      { scope: { kind: 'campaign', id: 4 }, name: 'Jars' },
      { scope: { kind: 'ad-group', id: 9 }, name: 'exact' },
    ]);
    expect(screen.getByRole('navigation', { name: 'Inside' }).textContent).toBe('Whole accountJarsexact');
    press('Jars');
    press('Whole account');
    expect(done).toEqual([
      ['scope', { kind: 'campaign', id: 4 }],
      ['scope', null],
    ]);
  });
});

describe('the menu of columns', () => {
  const ALL: Column<number>[] = ['name', 'clicks', 'spend', 'sales'].map((key) => ({
    key,
    label: key === 'name' ? '' : key,
    width: 80,
    cell: () => '',
  }));
  let shown: string[] = [];
  let pinned: string[] = [];
  let isReset = false;
  function Menu() {
    const [state, setState] = useState({ shown: ['name', 'clicks'], widths: {}, pinned: ['name'] });
    [shown, pinned] = [state.shown, state.pinned];
    return (
      <ColumnsMenu
        isOpen
        anchor={() => document.body}
        onClose={() => {}}
        all={ALL}
        columns={useColumns(ALL, state, setState) as never}
        onReset={() => (isReset = true)}
      />
    );
  }

  test('takes columns in and out, and keeps some at the left', () => {
    draw(<Menu />);
    expect(screen.getAllByRole('checkbox').map((box) => (box as HTMLInputElement).checked)).toEqual([
      true,
      true,
      false,
      false,
    ]);
    fireEvent.click(screen.getByLabelText('sales'));
    fireEvent.click(screen.getByLabelText('clicks'));
    press('Keep sales at the left');
    press('Let Standing scroll');
    expect([shown, pinned]).toEqual([['name', 'sales'], ['sales']]);
    press('Reset');
    expect(isReset).toBe(true);
  });
});

describe('a small number field', () => {
  function field(value: number | null, withNone = false) {
    const told: (number | null)[] = [];
    draw(
      <NumberField
        label="clicks"
        value={value}
        min={1}
        step={5}
        onChange={(next) => told.push(next)}
        onNone={withNone ? () => told.push(null) : undefined}
      />,
    );
    const input = screen.getByLabelText('clicks') as HTMLInputElement;
    const type = (text: string, key = 'Enter') => {
      fireEvent.change(input, { target: { value: text } });
      fireEvent.keyDown(input, { key });
    };
    return { told, input, type };
  }

  test('tells what was typed once it is complete, and steps by arrows down to its least', () => {
    const { told, type } = field(10);
    type('12,5');
    type('10', 'ArrowUp');
    type('3', 'ArrowDown');
    expect(told).toEqual([12.5, 15, 1]);
  });

  test('takes its value again when what was typed is none, too small, or given up', () => {
    for (const [text, key] of [
      ['', 'Enter'],
      ['few', 'Enter'],
      ['0', 'Enter'],
      ['99', 'Escape'],
    ]) {
      const { told, input, type } = field(10);
      type(text, key);
      expect([told, input.value]).toEqual([[], '10']);
      cleanup();
    }
  });

  test('may be emptied where nothing is a value too', () => {
    const { told, type } = field(10, true);
    type('');
    expect(told).toEqual([null]);
  });
});

describe('figures of rows', () => {
  test('stand in their units; what is not known is a dash; a move carries its sign, and none where it rounds to nothing', () => {
    expect(formatField('spend', 1_234_560_000)).toBe('1,234.56');
    expect(formatField('clicks', 12_345)).toBe('12,345');
    expect(formatField('acos', null)).toBe('–');
    expect(formatMove('money', -2_500_000, 2)).toBe('−2.50');
    expect(formatMove('count', 3, 0)).toBe('+3');
    expect(formatMove('money', 1_000, 2)).toBe('0.00');
    expect(formatField('d.spend', 500_000)).toBe('+0.50');
  });

  test('are counted in the words of their lens', () => {
    expect(countWords('keywords', 1)).toBe('1 keyword');
    expect(countWords('campaigns', 1_204)).toBe('1,204 campaigns');
  });
});
