import { describe, expect, test } from 'vitest';
import { asJson, columnOf, pack, unpack } from '.';

const ANSWER = {
  window: { from: '2026-10-01', sums: [] },
  columns: { id: Int32Array.of(1, -2, 3), spend: Float64Array.of(0.5, 2 ** 40), none: new Int32Array(0) },
  terms: { text: ['crème', '', 'jar'], flags: Uint8Array.of(1, 0, 1) },
  note: null,
};

describe('an answer with columns', () => {
  test('comes out of its bytes as it went in, wherever its columns stand', () => {
    expect(unpack(pack(ANSWER).buffer)).toEqual(ANSWER);
  });

  test('is told to scripts as plain lists', () => {
    expect(JSON.parse(asJson(ANSWER))).toMatchObject({
      columns: { id: [1, -2, 3], none: [] },
      terms: { flags: [1, 0, 1] },
    });
  });

  test('that breaks off is not read as if it were whole', () => {
    const bytes = pack(ANSWER);
    expect(() => unpack(bytes.buffer.slice(0, bytes.length - 8))).toThrow();
  });
});

describe('a column that the database printed', () => {
  test('takes half the room where all of its numbers allow it, and stays exact where they do not', () => {
    expect(columnOf('1,-20,2147483647')).toEqual(Int32Array.of(1, -20, 2147483647));
    expect(columnOf('0,9007199254740991')).toEqual(Float64Array.of(0, 9007199254740991));
    expect(columnOf('')).toEqual(new Int32Array(0));
  });

  test.each(['1,9007199254740993', '1.5,2', 'NaN'])('is refused where it is not exact: %s', (printed) => {
    expect(() => columnOf(printed)).toThrow(/not whole, or larger/);
  });
});
