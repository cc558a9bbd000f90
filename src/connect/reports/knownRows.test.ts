import { beforeEach, describe, expect, test } from 'vitest';
import { aReportRow, HEADINGS } from '../../../tests/make/report';
import { matchHeadings, REPORT_SPECS } from '.';
import type { Notation } from '.';
import { KnownRows } from './knownRows';

const { columns } = matchHeadings(REPORT_SPECS.terms, HEADINGS.split(','), 'EUR');
const bytes = (line: string) => new TextEncoder().encode(line);
const rules = {
  spec: REPORT_SPECS.terms,
  columns,
  width: 16,
  notation: { mark: '.', isSure: true, currency: 'EUR' } as Notation,
};
let known: KnownRows;

/** What the quick lane makes of a line. */
const read = (line: string) => {
  const row = known.read(bytes(line), 0, bytes(line).length);
  return row === null ? null : { ...row, figures: [...row.figures] };
};
const learn = (line: string, place: number, detail: number) =>
  known.learn(bytes(line), 0, bytes(line).length, '2026-10-05', { place, detail });

beforeEach(() => {
  known = new KnownRows({ ...rules, delimiter: ',' });
});

describe('a line is read from its bytes', () => {
  test('once day, place and term were met, with any plain figures', () => {
    learn(aReportRow(), 3, 8);
    expect(
      read(
        aReportRow({
          impressions: 999,
          clicks: 12,
          spend: '0.07',
          orders: 0,
          units: 2,
          sales: '1234.567891',
        }),
      ),
    ).toEqual({
      day: '2026-10-05',
      place: 3,
      detail: 8,
      figures: [999, 12, 70_000, 0, 2, 1_234_567_891],
    });
  });

  test('also in the middle of other bytes, and before a carriage return', () => {
    learn(aReportRow(), 1, 1);
    const all = bytes(`noise\n${aReportRow()}\r\nnoise`);
    expect(known.read(all, 6, all.indexOf(10, 6))).toMatchObject({ figures: { 2: 3_100_000 } });
  });

  test('by ids alone where there are all of them: a renamed campaign is the same place', () => {
    learn(aReportRow(), 5, 1);
    expect(read(aReportRow({ campaign: 'Renamed' }))).toMatchObject({ place: 5 });
    expect(read(aReportRow({ targetId: 'T2' }))).toBeNull();
  });
});

describe('a line is left to the careful reader', () => {
  test.each([
    ['a term not met yet', { term: 'other' }],
    ['a day not met yet', { day: '2026-10-06' }],
    ['a place not met yet', { campaignId: 'C2' }],
    ['a quote', { term: '"glass weights"' }],
    ['a sign', { clicks: '-1' }],
    ['a grouped figure', { impressions: '1 200' }],
    ['an empty figure', { orders: '' }],
    ['a decimal where none belongs', { clicks: '1.0' }],
    ['seven decimals', { spend: '0.1234567' }],
    ['a point without digits behind it', { spend: '3.' }],
    ['a figure beyond nine digits', { impressions: '12345678901' }],
    ['clicks above impressions', { clicks: 121 }],
    ['another currency', { currency: 'USD' }],
    ['a column too many', { term: 'glass weights,x' }],
  ])('with %s', (_, over) => {
    learn(aReportRow(), 1, 1);
    expect(read(aReportRow(over))).toBeNull();
    expect(read(aReportRow())).not.toBeNull();
  });

  test('when it has a column too few', () => {
    learn(aReportRow(), 1, 1);
    expect(read(aReportRow().slice(0, aReportRow().lastIndexOf(',')))).toBeNull();
  });
});

test('several days in any order are known side by side', () => {
  learn(aReportRow(), 1, 1);
  const other = aReportRow({ day: '2026-10-06' });
  known.learn(bytes(other), 0, bytes(other).length, '2026-10-06', { place: 1, detail: 1 });
  expect(read(aReportRow())!.day).toBe('2026-10-05');
  expect(read(other)!.day).toBe('2026-10-06');
});

test('a decimal comma is read where the file has one', () => {
  known = new KnownRows({ ...rules, delimiter: ';', notation: { ...rules.notation, mark: ',' } });
  const german = [
    '2026-10-05',
    'C1',
    'Glass weights – auto',
    'G1',
    'auto',
    'T1',
    'near searches',
    'auto',
    'glass weights',
    120,
    6,
    '3,10',
    1,
    1,
    '18,90',
    'EUR',
  ].join(';');
  learn(german, 1, 1);
  expect(read(german)).toMatchObject({ figures: [120, 6, 3_100_000, 1, 1, 18_900_000] });
});
