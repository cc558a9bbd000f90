import { describe, expect, test } from 'vitest';
import { REPORT_SPECS } from '../../connect/reports';
import type { ReportRow } from '../../connect/reports';
import { placeTexts, SegmentWriter } from './segmentWriter';

const PLACE = {
  campaignId: 'C1',
  adGroupId: 'G1',
  targetId: 'T1',
  campaign: 'Weights',
  adGroup: 'auto',
  target: 'near searches',
  match: 'auto',
};
const aRow = (over: Partial<ReportRow> = {}, place: Partial<typeof PLACE> = {}): ReportRow => ({
  day: '2026-10-05',
  place: Object.values({ ...PLACE, ...place }),
  detail: 'jar',
  figures: [10, 2, 1, 1, 310_000, 18_900_000],
  span: null,
  values: null,
  ...over,
});
const aWriter = (segmentRows = 1000) => new SegmentWriter(REPORT_SPECS.terms, segmentRows);

test('what a row over several days says of bids stands at its end, and the newest end counts', () => {
  const writer = aWriter();
  const told = (from: string, to: string, bid: number) =>
    writer.add(aRow({ day: from, span: { from, to }, values: [null, null, null, null, null, bid] }), 1);
  const { place } = told('2026-10-16', '2026-10-31', 500_000);
  told('2026-10-17', '2026-10-20', 400_000);
  expect(writer.latest.get(place)).toMatchObject({
    day: '2026-10-31',
    values: [null, null, null, null, null, 500_000],
  });
});

describe('rows on their way to the database', () => {
  test('name a place and a term once, and are numbers from then on', () => {
    const writer = aWriter();
    const first = writer.add(aRow(), 2);
    expect(writer.add(aRow({ day: '2026-10-06' }), 3)).toEqual(first);
    const other = writer.add(aRow({ detail: 'crock' }), 4);
    expect([other.place === first.place, other.detail === first.detail]).toEqual([true, false]);
    writer.addKnown({ ...first, day: '2026-10-07', figures: Float64Array.from([5, 1, 0, 0, 70_000, 0]) }, 9);
    const segment = writer.takeRest()!;
    expect(segment.newPlaces.map(({ texts }) => placeTexts(REPORT_SPECS.terms, texts))).toEqual([PLACE]);
    expect(segment.newTerms.map(({ text }) => text)).toEqual(['jar', 'crock']);
    expect([...segment.line.slice(0, segment.rows)]).toEqual([2, 3, 4, 9]);
    expect(segment.figures.map((column) => column[3])).toEqual([5, 1, 0, 0, 70_000, 0]);
    expect(segment.days.size).toBe(3);
  });

  test('go by names where ids are missing: two ad groups of one name in two campaigns are two places', () => {
    const writer = aWriter();
    const byName = (campaign: string) =>
      writer.add(aRow({}, { campaignId: '', adGroupId: '', targetId: '', campaign }), 2).place;
    expect(byName('Weights')).not.toBe(byName('Crocks'));
    expect(byName('Weights')).toBe(byName('Weights'));
  });

  test('go by ids where there are all: a renamed campaign is the same place', () => {
    const writer = aWriter();
    expect(writer.add(aRow({}, { campaign: 'Renamed' }), 2).place).toBe(writer.add(aRow(), 3).place);
  });

  test('keep the number of an hour or placement as it is', () => {
    const writer = new SegmentWriter(REPORT_SPECS.hours, 10);
    expect(writer.add({ ...aRow(), place: ['C1', 'Weights'], detail: 17 }, 2).detail).toBe(17);
    expect(writer.takeRest()!.newTerms).toEqual([]);
  });

  test('come in segments, and numbers go on through them, also when a piece holds more rows than a segment', () => {
    const writer = aWriter(2);
    const { detail } = writer.add(aRow(), 7);
    expect(writer.takeFull()).toBeNull();
    for (let line = 8; line < 5000; line += 1) writer.add(aRow({ day: '2026-10-06' }), line);
    expect(writer.takeFull()).toMatchObject({ rows: 1, newPlaces: [{ number: 1 }] });
    expect(writer.add(aRow({ day: '2026-10-07' }), 5000).detail).toBe(detail);
    const full = writer.takeFull()!;
    expect([full.rows, full.line[4991], full.figures[5][4991]]).toEqual([4992, 4999, 18_900_000]);
    expect(writer.takeRest()).toMatchObject({ rows: 1, newPlaces: [], newTerms: [] });
    expect(writer.takeRest()).toBeNull();
  });

  test('end with a day where the rows of a day follow each other, unless one day is longer than many segments', () => {
    const days = (size: number, ...list: string[]) => {
      const writer = aWriter(size);
      return list.flatMap((day, at) => {
        writer.add(aRow({ day: `2026-10-0${day}` }), at + 2);
        const full = writer.takeFull();
        return full === null ? [] : [[...full.day.subarray(0, full.rows)].map((one) => one - full.day[0])];
      });
    };
    expect(days(2, '1', '1', '1', '2', '2', '3')).toEqual([
      [0, 0, 0],
      [0, 0],
    ]);
    expect(days(4, '1', '2', '1', '2', '1')).toEqual([[0, 1, 0, 1]]);
    expect(days(2, ...Array<string>(21).fill('1'))[0]).toHaveLength(20);
  });
});
