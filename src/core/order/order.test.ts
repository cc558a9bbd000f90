import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { orderByNumbers, textPlaces } from '.';

const everyRow = (size: number) => Int32Array.from({ length: size }, (_, row) => row);

describe('rows in the order of a number', () => {
  test('stand as a comparing sort would put them, equal ones as they stood before', () => {
    const number = fc.oneof(
      fc.double({ noNaN: true }),
      fc.integer({ min: -3, max: 3 }),
      fc.constantFrom(0, -0, Infinity, -Infinity, Number.MIN_VALUE, -1e-300, 5e15),
    );
    fc.assert(
      fc.property(fc.array(number, { maxLength: 200 }), (values) => {
        const keys = Float64Array.from(values);
        const compared = [...everyRow(values.length)].sort((a, b) => keys[a] - keys[b] || 0 || a - b);
        const expected = compared.some((row) => !Number.isFinite(keys[row]))
          ? [...everyRow(values.length)].sort((a, b) =>
              keys[a] < keys[b] ? -1 : keys[a] > keys[b] ? 1 : a - b,
            )
          : compared;
        expect([...orderByNumbers(everyRow(values.length), keys)]).toEqual(expected);
      }),
    );
  });

  test('can be a part of all rows', () =>
    expect([...orderByNumbers(Int32Array.of(4, 1, 2), Float64Array.of(9, 5, 7, 1, 6))]).toEqual([1, 4, 2]));

  test('of texts are their places in order', () => {
    const texts = ['jar', 'crock', 'jar', 'airlock'];
    expect([...textPlaces(everyRow(4), 4, (row) => texts[row])]).toEqual([2, 1, 2, 0]);
  });
});
