import { act, renderHook } from '@testing-library/react';
import { describe, expect, test } from 'vitest';
import { useRows } from './useRows';

/** Rows 10, 11, 12 … as a table shows them. */
const someRows = (count: number, from = 10): Int32Array =>
  Int32Array.from({ length: count }, (_, at) => from + at);

function rows(count = 6) {
  const hook = renderHook(({ shown, list }) => useRows(shown, list), {
    initialProps: { shown: someRows(count), list: 'a' },
  });
  return {
    now: () => hook.result.current,
    does: (what: (rows: ReturnType<typeof useRows>) => void) => act(() => what(hook.result.current)),
    show: (shown: Int32Array, list = 'a') => hook.rerender({ shown, list }),
    selected: () => [...hook.result.current.selection].sort((a, b) => a - b),
  };
}

describe('the focus', () => {
  test('begins at the first row, goes by steps and stays within the rows', () => {
    const { now, does } = rows();
    expect([now().focus, now().focusedRow]).toEqual([0, 10]);
    does((one) => one.move(3, false));
    expect(now().focusedRow).toBe(13);
    does((one) => one.move(99, false));
    expect(now().focusedRow).toBe(15);
    does((one) => one.move(-99, false));
    expect(now().focusedRow).toBe(10);
  });

  test('keeps its place when the row under it is decided and goes', () => {
    const { now, does, show } = rows();
    does((one) => one.setFocus(2));
    show(Int32Array.of(10, 11, 13, 14, 15));
    expect(now().focusedRow).toBe(13);
  });

  test('goes back with the rows when fewer are left than it had before it', () => {
    const { now, does, show } = rows();
    does((one) => one.setFocus(5));
    show(someRows(2));
    expect(now().focusedRow).toBe(11);
    show(someRows(0));
    expect([now().focus, now().focusedRow, now().chosen()]).toEqual([-1, null, []]);
  });

  test('begins anew with another list, and nothing stays selected', () => {
    const { now, does, show, selected } = rows();
    does((one) => one.select(4, false));
    show(someRows(6), 'b');
    expect([now().focus, selected()]).toEqual([0, []]);
  });

  test('finds a row by what it is', () => {
    const { now, does } = rows();
    does((one) => one.focusRow(14));
    expect(now().focus).toBe(4);
    does((one) => one.focusRow(99));
    expect(now().focus).toBe(4);
  });
});

describe('the selection', () => {
  test('grows and shrinks with the focus from where it began', () => {
    const { does, selected } = rows();
    does((one) => one.setFocus(2));
    does((one) => one.move(1, true));
    does((one) => one.move(1, true));
    expect(selected()).toEqual([12, 13, 14]);
    does((one) => one.move(-3, true));
    expect(selected()).toEqual([11, 12]);
  });

  test('takes single rows in and out, and a range up to another', () => {
    const { does, selected } = rows();
    does((one) => one.select(1, false));
    does((one) => one.select(4, false));
    expect(selected()).toEqual([11, 14]);
    does((one) => one.select(4, false));
    expect(selected()).toEqual([11]);
    does((one) => one.select(1, false));
    does((one) => one.select(3, true));
    expect(selected()).toEqual([11, 12, 13]);
  });

  test('is what is decided, in the order shown; without one it is the row under the focus', () => {
    const { now, does } = rows();
    does((one) => one.setFocus(3));
    expect(now().chosen()).toEqual([13]);
    does((one) => one.select(5, false));
    does((one) => one.select(0, false));
    expect(now().chosen()).toEqual([10, 15]);
    does((one) => one.selectAll());
    expect(now().chosen()).toHaveLength(6);
    does((one) => one.clearSelection());
    expect(now().chosen()).toEqual([10]);
  });

  test('never holds rows that are not shown any more', () => {
    const { now, does, show } = rows();
    does((one) => one.selectAll());
    show(Int32Array.of(11, 15));
    expect(now().chosen()).toEqual([11, 15]);
  });
});
