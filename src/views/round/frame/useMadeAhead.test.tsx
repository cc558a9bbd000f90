import { renderHook, waitFor } from '@testing-library/react';
import { expect, test } from 'vitest';
import { useMadeAhead } from './useMadeAhead';

/** Makes a row's words, and notes that it did. */
function aMaker(word: string) {
  const made: number[] = [];
  return {
    made,
    make: (row: number) => {
      made.push(row);
      return `${word} ${row}`;
    },
  };
}

test('what is asked about is made while the question is read, each once; what nobody asked about, when it is wanted', async () => {
  const { made, make } = aMaker('accept');
  const rows = Array.from({ length: 3000 }, (_, row) => row);
  const { result } = renderHook(() => useMadeAhead(rows, make));
  await waitFor(() => expect(made).toEqual(rows));
  expect(rows.map(result.current)).toEqual(rows.map((row) => `accept ${row}`));
  expect(made).toHaveLength(3000);
  expect(result.current(7000)).toBe('accept 7000');
});

test('what was made of an older plan does not count', async () => {
  const [older, newer] = [aMaker('older'), aMaker('newer')];
  const rows = [1, 2];
  const { result, rerender } = renderHook(({ make }) => useMadeAhead(rows, make), {
    initialProps: { make: older.make },
  });
  await waitFor(() => expect(older.made).toEqual([1, 2]));
  rerender({ make: newer.make });
  expect(result.current(2)).toBe('newer 2');
});
