import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { RecordReader } from '.';

function read(pieces: string[], delimiter = ',') {
  const records: { fields: string[]; line: number }[] = [];
  const reader = new RecordReader(delimiter, (fields, line) => records.push({ fields, line }));
  for (const piece of pieces) reader.push(piece);
  const { endedWithLineEnd } = reader.end();
  return { records, endedWithLineEnd };
}

describe('delimited text', () => {
  test('knows quotes: doubled ones, delimiters and line ends inside, and counts lines through them', () => {
    const { records } = read(['a,"b ""c"", d"\r\n"two\nlines",x\nlast,y\n']);
    expect(records).toEqual([
      { fields: ['a', 'b "c", d'], line: 1 },
      { fields: ['two\nlines', 'x'], line: 2 },
      { fields: ['last', 'y'], line: 4 },
    ]);
  });

  test('passes over blank lines but counts them', () => {
    expect(read(['a,b\n\n\nc,d']).records[1]).toEqual({ fields: ['c', 'd'], line: 4 });
  });

  test('tells a last line without its line end', () => {
    expect(read(['a,b\n']).endedWithLineEnd).toBe(true);
    expect(read(['a,b\nc']).endedWithLineEnd).toBe(false);
  });

  test('refuses a quote that never closes, and says on which line it opens', () => {
    expect(() => read(['a,b\nc,"d\ne,f\n'])).toThrow('The quote that opens on line 2 never closes');
    expect(() => read(['a,b\n"', 'x,y\n'.repeat(100_000)])).toThrow('opens on line 2');
  });

  test('comes out the same however it is cut into pieces', () => {
    const field = fc
      .string({ maxLength: 6 })
      .map((text) => `"${text.replaceAll('"', '""').replaceAll('\r', '')}"`);
    const record = fc.array(fc.oneof(field, fc.constantFrom('1', 'plain', '')), {
      minLength: 2,
      maxLength: 4,
    });
    fc.assert(
      fc.property(
        fc.array(record, { minLength: 1, maxLength: 6 }),
        fc.array(fc.nat(9), { minLength: 1 }),
        (rows, cuts) => {
          const text = rows.map((fields) => `${fields.join(',')}\n`).join('');
          const pieces: string[] = [];
          for (let at = 0, turn = 0; at < text.length; turn += 1) {
            const size = 1 + cuts[turn % cuts.length];
            pieces.push(text.slice(at, at + size));
            at += size;
          }
          expect(read(pieces)).toEqual(read([text]));
        },
      ),
    );
  });
});
