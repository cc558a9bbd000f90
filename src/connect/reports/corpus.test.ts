import { describe, expect, test } from 'vitest';
import { AMOUNTS, SHAPES } from '../../../tests/make/corpus';
import { HEADINGS, inPieces } from '../../../tests/make/report';
import { readReport, REPORT_SPECS } from '.';

const row = (term: string, spend: string, clicks = '6') => [
  '2026-10-05',
  'C1',
  'Weights',
  'G1',
  'auto',
  'T1',
  'near searches',
  'auto',
  term,
  '900',
  clicks,
  spend,
  '1',
  '1',
  '18.90',
  'EUR',
];

/** What becomes of a table: lines that were refused, and the kept figures of each term. */
async function read(text: string) {
  const refused: { line: number; reason: string }[] = [];
  const kept: { spend: number; clicks: number }[] = [];
  const take = (figures: ArrayLike<number>) => kept.push({ clicks: figures[1], spend: figures[2] });
  await readReport(inPieces(text, 97), {
    spec: REPORT_SPECS.terms,
    currency: 'EUR',
    lastDay: '2026-11-23',
    hints: { met: new Map() },
    onHeadings: async () => true,
    onRow: ({ figures }) => (take(figures), { place: 1, detail: 1 }),
    onKnownRow: ({ figures }) => void take(figures),
    onPiece: async () => {},
    onRefused: (line, reason) => refused.push({ line, reason }),
    onProgress: () => {},
  });
  return { refused, kept };
}

describe.each(SHAPES)('of files with $name', ({ name, write }) => {
  const first = name.includes('title') ? 3 : 1;

  test.each(AMOUNTS)(
    'an amount of “%s” is what it surely is, or its row alone is refused',
    async (text, micros) => {
      // The rows before it have let the quick lane learn everything but the figure.
      const rows = [row('jar', '3.10'), row('jar', '3.15'), row('jar', text), row('jar', '3.25')];
      const { kept, refused } = await read(write([HEADINGS.split(','), ...rows]));
      const spends = kept.map(({ spend }) => spend);
      if (micros === null) {
        expect(spends).toEqual([3.1e6, 3.15e6, 3.25e6]);
        expect(refused.map(({ line }) => line)).toEqual([first + 3]);
        expect(refused[0].reason).toMatch(/^Spend /);
      } else {
        expect(spends).toEqual([3.1e6, 3.15e6, micros, 3.25e6]);
        expect(refused).toEqual([]);
      }
    },
  );
});

test('a count is whole or refused, in both lanes alike', async () => {
  for (const [text, count] of [
    ['7', 7],
    ['1,234', 1234],
    ['7.0', 7],
    ['', 0],
    ['7.5', null],
    ['1.000', null],
    ['3-5', null],
    ['1.2K', null],
    ['5 EUR', null],
    ['12%', null],
    ['-1', null],
    ['<5', null],
  ] as const) {
    const rows = [row('jar', '3.10'), row('jar', '3.15'), row('jar', '3.20', text)].map((cells) =>
      cells.map((cell, at) => (at === 9 ? '90000' : cell)),
    );
    const { kept } = await read(SHAPES[0].write([HEADINGS.split(','), ...rows]));
    expect([text, kept[2]?.clicks ?? null]).toEqual([text, count]);
  }
});
