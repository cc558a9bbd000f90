import { describe, expect, test } from 'vitest';
import type { ReportKind } from '../../contract/reportFields';
import { aReport, aReportRow, HEADINGS, inPieces } from '../../../tests/make/report';
import { readReport, REPORT_SPECS } from '.';
import type { FileHints, ReportRow } from '.';

async function read(
  file: string | Uint8Array,
  size?: number,
  kind: ReportKind = 'terms',
  hints: Partial<FileHints> = {},
) {
  const rows: ReportRow[] = [];
  const refused: { line: number; reason: string }[] = [];
  const result = await readReport(inPieces(file, size), {
    spec: REPORT_SPECS[kind],
    currency: 'EUR',
    lastDay: '2026-11-23',
    hints: { met: new Map(), ...hints },
    onHeadings: async () => true,
    onRow: (row) => {
      rows.push(row);
      return { place: rows.length, detail: rows.length };
    },
    // A known row has the texts of the row that its numbers were given to.
    onKnownRow: ({ place, detail, day, figures }) =>
      rows.push({
        day,
        place: rows[place - 1].place,
        detail: rows[detail - 1].detail,
        figures: [...figures],
        span: null,
        values: null,
      }),
    onPiece: async () => {},
    onRefused: (line, reason) => refused.push({ line, reason }),
    onProgress: () => {},
  });
  return { rows, refused, result };
}

const refusal = (file: string | Uint8Array, size?: number) =>
  read(file, size).then(
    () => 'taken in',
    (error: Error) => error.message,
  );

describe('a report is read', () => {
  test('with comma, semicolon and tab, with and without a byte order mark, whatever the pieces', async () => {
    const expected = (await read(aReport())).rows;
    expect(expected).toMatchObject([
      { day: '2026-10-05', detail: 'glass weights', figures: [120, 6, 3_100_000, 1, 1, 18_900_000] },
    ]);
    for (const file of [
      aReport({ delimiter: ';' }),
      aReport({ delimiter: '\t' }),
      `\ufeff${aReport()}`,
      aReport({ lineEnd: '\r\n' }),
    ])
      for (const size of [1, 13, 100_000]) expect((await read(file, size)).rows).toEqual(expected);
  });

  test('as UTF-16 with its mark, as spreadsheets save "Unicode text"', async () => {
    const text = aReport({ delimiter: '\t', rows: [aReportRow({ term: 'crème jar' })] });
    const bytes = new Uint8Array(Buffer.from(`\ufeff${text}`, 'utf16le'));
    expect((await read(bytes, 5)).rows[0].detail).toBe('crème jar');
  });

  test('below a few lines of title', async () => {
    const { rows, refused } = await read(`Search terms\nmade on 2026-10-06\n${aReport()}`);
    expect([rows.length, refused]).toEqual([1, []]);
  });
});

describe('the quick lane for rows whose texts were met before', () => {
  const days = ['2026-10-05', '05.10.2026'];
  const rows = Array.from({ length: 900 }, (_, at) =>
    aReportRow({
      day: days[at % 2],
      targetId: `T${at % 3}`,
      term: at % 50 === 0 ? `"quoted, ${at % 4}"` : at % 7 === 0 ? `crème ${at % 5}` : `term ${at % 9}`,
      clicks: at % 97 === 0 ? 9999 : at % 11,
      spend: ['3.10', '0.5', '1e3', '"1,234.50"', '7', '.5', '0.1234567'][at % 61 === 0 ? at % 7 : at % 2],
      currency: at % 131 === 0 ? 'USD' : 'EUR',
    }),
  );

  test('gives the same rows and refusals as the careful reader', async () => {
    // UTF-16 goes through the careful reader alone.
    const text = aReport({ rows });
    const careful = await read(new Uint8Array(Buffer.from(`\ufeff${text}`, 'utf16le')), 100_000);
    expect(careful.refused.length).toBeGreaterThan(10);
    for (const size of [1000, 70_001]) expect(await read(text, size)).toEqual(careful);
    expect(await read(text.replaceAll('\n', '\r\n'), 5000)).toEqual(careful);
  });
});

describe('every kind of report', () => {
  const figures = 'Impressions,Clicks,Spend,Orders,Units,Sales';
  test.each<[ReportKind, string, object]>([
    [
      'targets',
      `Date,Campaign,Ad group,Keyword,Match type,${figures}\n2026-10-05,W,research,jar weights,phrase,50,5,2.10,1,1,18.90\n`,
      {
        place: ['', '', '', 'W', 'research', 'jar weights', 'phrase'],
        detail: null,
        figures: [50, 5, 2_100_000, 1, 1, 18_900_000],
      },
    ],
    [
      'placements',
      `Date,Campaign ID,Placement,${figures}\n2026-10-05,C1,Rest of search,50,5,2.10,1,1,18.90\n`,
      { place: ['C1', ''], detail: 1 },
    ],
    [
      'hours',
      `Date,Hour,Campaign,${figures}\n2026-10-05,13:00,W,50,5,2.10,1,1,18.90\n`,
      { place: ['', 'W'], detail: 13 },
    ],
    [
      'sales',
      'Day;Item code;Product;Orders;Units;Sales;Refunds\n05.10.2026;Q7BC12D3F4;Crock;3;4;275,60;68,90\n',
      { place: ['Q7BC12D3F4', 'Crock'], detail: null, figures: [3, 4, 275_600_000, 0, 68_900_000] },
    ],
    [
      'ranks',
      'Date,Item code,Search term,Organic rank,Search volume\n2026-10-05,Q7BC12D3F4,stone crock,14,320\n',
      { place: ['Q7BC12D3F4', ''], detail: 'stone crock', figures: [14, 320] },
    ],
  ])('%s', async (kind, file, row) => {
    expect((await read(file, 1000, kind)).rows).toMatchObject([row]);
  });

  test.each<[ReportKind, string, string]>([
    [
      'placements',
      `Date,Campaign,Placement,${figures}\n2026-10-05,W,Roof,1,1,1,0,0,0\n`,
      'The placement is unknown (Roof)',
    ],
    ['hours', `Date,Hour,Campaign,${figures}\n2026-10-05,24,W,1,1,1,0,0,0\n`, 'The hour cannot be read (24)'],
    ['sales', 'Date,Item code,Orders,Units,Sales\n2026-10-05,,1,1,1\n', 'The item code is missing.'],
  ])('%s: what cannot be read is told', async (kind, file, told) => {
    expect((await read(file, 1000, kind)).refused[0].reason).toContain(told);
  });
});

describe('bad rows are refused with their line and reason, good ones kept', () => {
  test.each([
    [{ clicks: -2 }, 'Clicks is negative (-2).'],
    [{ clicks: 500 }, 'Clicks (500) are above impressions (120).'],
    [{ day: '2026-02-31' }, 'There is no such day (2026-02-31).'],
    [{ day: '2026-12-24' }, 'The day 2026-12-24 has not come yet (today is 2026-11-23).'],
    [{ currency: 'XQZ1' }, 'The currency is unknown (XQZ1).'],
    [{ currency: 'USD' }, 'The row is in USD; the account is in EUR.'],
    [{ campaignId: '' }, 'The campaign id is missing.'],
    [{ term: '' }, 'The search term is missing.'],
    [{ spend: 'free' }, 'Spend is not an amount (free).'],
    [{ term: 'one,too many' }, 'The row has 17 columns; the headings have 16.'],
  ])('%j', async (over, reason) => {
    const { rows, refused } = await read(aReport({ rows: [aReportRow(), aReportRow(over), aReportRow()] }));
    expect(rows).toHaveLength(2);
    expect(refused).toEqual([{ line: 3, reason }]);
  });

  test('a row that covers several days stands for them on their middle one, but a rank cannot', async () => {
    const headings = HEADINGS.replace('Currency', 'End date');
    const [one, wrong] = [aReportRow({ currency: '2026-10-11' }), aReportRow({ currency: '2026-10-01' })];
    const { rows, refused } = await read(aReport({ headings, rows: [one, wrong] }));
    expect(rows).toMatchObject([{ day: '2026-10-08', span: { from: '2026-10-05', to: '2026-10-11' } }]);
    expect(refused[0].reason).toContain('before it begins');
    const ranks = 'Date,End date,Item code,Search term,Organic rank\n2026-10-05,2026-10-11,B01,jar,4\n';
    expect((await read(ranks, 7, 'ranks')).refused[0].reason).toContain('cannot be summed');
  });
});

describe('a file that cannot be trusted is refused whole', () => {
  const noise = Uint8Array.from({ length: 4096 }, (_, at) => (at * 7919 + (at >> 3) * 104_729) % 256);
  test.each<[string, string | Uint8Array, string]>([
    ['an empty file', '', 'The file is empty'],
    ['blank lines only', '\n\n  \n', 'The file is empty'],
    ['a web page', '<!DOCTYPE html>\n<html><body>Sign in</body></html>', 'a web page, not a report'],
    ['random bytes', noise, 'not UTF-8 text'],
    ['UTF-16 without its mark', new Uint8Array(Buffer.from(aReport(), 'utf16le')), 'NUL byte'],
    ['headings only', `${HEADINGS}\n`, 'has headings but no rows'],
    [
      'an unclosed quote',
      aReport({ rows: [aReportRow(), aReportRow({ term: '"glass' }), aReportRow()] }),
      'The quote that opens on line 3 never closes',
    ],
    [
      'a NUL byte',
      aReport({ rows: [aReportRow(), aReportRow({ term: 'gla\0ss' })] }),
      'Line 3 holds a NUL byte',
    ],
    [
      'a file cut off in a row',
      aReport({ rows: [aReportRow(), aReportRow()] }).slice(0, -40),
      'The file was cut off: line 3',
    ],
    ['one column', 'hello\nworld\n', 'only one column'],
  ])('%s', async (_, file, told) => {
    for (const size of [11, 1 << 20]) expect(await refusal(file, size)).toContain(told);
  });

  test('a last line that is whole but lacks its line end is kept, with a remark', async () => {
    const { result } = await read(aReport().trimEnd());
    expect(result).toMatchObject({ read: 1, remark: expect.stringContaining('no line end') });
  });
});
