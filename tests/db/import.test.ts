import { THIS_MACHINE } from '../../src/server/trail';
import { afterAll, describe, expect, test } from 'vitest';
import { findImport, touchImport } from '../../src/db/queries/imports';
import { closeContext, db } from '../../src/server/context/context';
import { chooseHeadings } from '../../src/server/imports/answer';
import { aReport, aReportRow, HEADINGS, inPieces } from '../make/report';
import { anAccount, sumsOf, takeIn } from './account';

afterAll(closeContext);

/** Rows of `days` days, terms and targets, each with known figures. */
function manyRows(count: number): string[] {
  return Array.from({ length: count }, (_, at) =>
    aReportRow({
      day: `2026-10-${String((at % 28) + 1).padStart(2, '0')}`,
      targetId: `T${at % 5}`,
      target: `kw ${at % 5}`,
      match: 'broad',
      term: `term ${at}`,
      clicks: at % 7,
      spend: '0.31',
      sales: '2.07',
    }),
  );
}

describe('importing a report', () => {
  test('keeps every good row to the last cent', async () => {
    const account = await anAccount();
    const result = await takeIn(account, aReport({ rows: manyRows(3000) }));
    expect(result).toMatchObject({
      state: 'done',
      read: 3000,
      kept: 3000,
      unchanged: 0,
      refused: 0,
      byName: false,
    });
    expect(await sumsOf(account)).toMatchObject({
      rows: 3000,
      impressions: 360_000,
      clicks: 8994,
      spend: '930000000',
      sales: '6210000000',
    });
  });

  test('again changes nothing, and says so', async () => {
    const account = await anAccount();
    const file = aReport({ rows: manyRows(200) });
    await takeIn(account, file);
    const again = await takeIn(account, file);
    expect(again).toMatchObject({ state: 'done', kept: 0, unchanged: 200 });
    expect(again.message).toContain('Nothing changed');
  });

  test('with later figures for some rows replaces just these: nothing is doubled', async () => {
    const account = await anAccount();
    await takeIn(account, aReport({ rows: manyRows(50) }));
    const later = [
      ...manyRows(50).slice(0, 48),
      ...manyRows(50)
        .slice(48)
        .map((row) => row.replace(',0.31,', ',0.50,')),
    ];
    expect(await takeIn(account, aReport({ rows: later }))).toMatchObject({ kept: 2, unchanged: 48 });
    expect(await sumsOf(account)).toMatchObject({ rows: 50, spend: String(48 * 310_000 + 2 * 500_000) });
  });

  test('lists bad rows by line, also a row that repeats another one', async () => {
    const account = await anAccount();
    const rows = [
      aReportRow(),
      aReportRow({ clicks: -1 }),
      aReportRow({ term: 'other' }),
      aReportRow({ spend: '9.99' }),
    ];
    const result = await takeIn(account, aReport({ rows }));
    expect(result).toMatchObject({ state: 'done', read: 4, kept: 2, refused: 2 });
    expect(result.lines).toEqual([
      { line: 3, reason: 'Clicks is negative (-1).' },
      { line: 5, reason: 'The row repeats an earlier one: same day, target and search term.' },
    ]);
    expect(await sumsOf(account)).toMatchObject({ spend: '6200000' });
  });

  test('of two at once into one account doubles nothing', async () => {
    const account = await anAccount();
    const file = aReport({ rows: manyRows(500) });
    const results = await Promise.all([takeIn(account, file), takeIn(account, file)]);
    expect(results.reduce((sum, { kept }) => sum + kept, 0)).toBe(500);
    expect(await sumsOf(account)).toMatchObject({ rows: 500 });
    const [{ campaigns }] =
      await db()`select count(*) as campaigns from mowing.campaign where account_id = ${account.id}`;
    expect(campaigns).toBe(1);
  });

  test('without rows that can be kept is refused as a whole', async () => {
    const account = await anAccount();
    const result = await takeIn(account, aReport({ rows: [aReportRow({ currency: 'GBP' })] }));
    expect(result).toMatchObject({ state: 'refused', kept: 0, refused: 1 });
    expect(await sumsOf(account)).toMatchObject({ rows: 0 });
  });
});

describe('a file that is taken in segment by segment', () => {
  const day = (at: number) => `2026-10-${String(at).padStart(2, '0')}`;
  const rowsOf = (days: number[]) =>
    days.flatMap((at) =>
      ['jar', 'crock', 'lid', 'salt'].map((term) =>
        aReportRow({ day: day(at), term, targetId: `T${at % 3}`, target: `kw ${at % 3}`, match: 'broad' }),
      ),
    );
  const doubled = [
    ...rowsOf([1, 2, 3]),
    ...rowsOf([2]).map((row) => row.replace('3.10', '9.99')),
    ...rowsOf([4]),
  ];
  const misplaced = [
    ...rowsOf([1, 2]),
    aReportRow({ day: day(3), campaignId: 'C9', term: 'stray' }),
    ...rowsOf([4]),
  ];

  /** What becomes of a file on top of what is there, and what the account holds then. */
  async function outcome(before: string[] | null, file: string[], segmentRows?: number) {
    const account = await anAccount();
    if (before) await takeIn(account, aReport({ rows: before }));
    const { state, read, kept, unchanged, refused, lines, firstDay, lastDay } = await takeIn(
      account,
      aReport({ rows: file }),
      segmentRows,
    );
    return { state, read, kept, unchanged, refused, lines, firstDay, lastDay, sums: await sumsOf(account) };
  }

  test.each<[string, string[] | null, string[]]>([
    ['all new', null, rowsOf([1, 2, 3, 4, 5])],
    ['all known', rowsOf([1, 2, 3]), rowsOf([1, 2, 3])],
    ['new at first, known later', rowsOf([4, 5]), rowsOf([1, 2, 3, 4, 5])],
    ['known at first, new later', rowsOf([1]), rowsOf([1, 2, 3])],
    ['changed in the middle', rowsOf([2]).map((row) => row.replace('3.10', '1.00')), rowsOf([1, 2, 3])],
    ['rows that repeat rows of an earlier segment', null, doubled],
    ['rows whose ids belong elsewhere', null, misplaced],
    [
      'months apart',
      null,
      [...rowsOf([1]), aReportRow({ day: '2026-02-01' }), aReportRow({ day: '2025-12-31' })],
    ],
  ])('comes to the same as in one: %s', async (_, before, file) => {
    const whole = await outcome(before, file);
    expect(whole.read).toBe(whole.kept + whole.unchanged + whole.refused);
    for (const segmentRows of [1, 5]) expect(await outcome(before, file, segmentRows)).toEqual(whole);
  });

  test('keeps nothing when its last line is cut off, whatever was written before', async () => {
    const account = await anAccount();
    const file = aReport({ rows: rowsOf([1, 2, 3, 4]) });
    expect(await takeIn(account, file.slice(0, -30), 3)).toMatchObject({ state: 'refused', kept: 0 });
    expect(await sumsOf(account)).toMatchObject({ rows: 0 });
    const [{ campaigns }] =
      await db()`select count(*) as campaigns from mowing.campaign where account_id = ${account.id}`;
    expect(campaigns).toBe(0);
  });

  test('leaves the days of other accounts alone when it takes back what it wrote', async () => {
    const other = await anAccount();
    await takeIn(other, aReport({ rows: rowsOf([1, 2, 3]) }));
    await outcome(null, doubled, 3);
    expect(await sumsOf(other)).toMatchObject({ rows: 12 });
  });
});

describe('a report without ids', () => {
  const byName = (rows: string[]) =>
    aReport({
      headings: 'Day,Campaign,Ad group,Keyword,Match type,Search term,Impressions,Clicks,Spend,Orders,Sales',
      rows,
    });
  const row = (term: string) => `2026-10-05,Brine salt,broad,salt,broad,${term},10,1,0.40,0,0`;

  test('goes by names, and says so', async () => {
    const account = await anAccount();
    const result = await takeIn(account, byName([row('fine salt'), row('sea salt')]));
    expect(result).toMatchObject({ kept: 2, byName: true });
    expect(result.message).toContain('their names serve as keys');
  });

  test('meets the same rows again when a later report brings the ids', async () => {
    const account = await anAccount();
    await takeIn(account, byName([row('fine salt')]));
    const withIds = aReportRow({
      campaign: 'Brine salt',
      adGroup: 'broad',
      target: 'salt',
      match: 'broad',
      term: 'fine salt',
      impressions: 10,
      clicks: 1,
      spend: '0.40',
      orders: 0,
      units: 0,
      sales: 0,
    });
    expect(await takeIn(account, aReport({ rows: [withIds] }))).toMatchObject({ kept: 0, unchanged: 1 });
  });

  test('whose name means two campaigns is refused for these rows', async () => {
    const account = await anAccount();
    await takeIn(
      account,
      aReport({
        rows: ['C1', 'C2'].map((id) =>
          aReportRow({ campaignId: id, adGroupId: `G${id}`, targetId: `T${id}`, campaign: 'Brine salt' }),
        ),
      }),
    );
    const result = await takeIn(account, byName([row('fine salt')]));
    expect(result.state).toBe('refused');
    expect(result.lines[0].reason).toContain('“Brine salt › broad” means several campaigns');
  });
});

describe('headings that are not recognised', () => {
  const file = aReport({ headings: HEADINGS.replace('Clicks', 'Taps') });

  test('are asked for, and the choice is remembered for these headings', async () => {
    const account = await anAccount();
    const asked = await takeIn(account, file);
    expect(asked).toMatchObject({ state: 'needs-mapping', unmatched: ['clicks'], kept: 0 });
    expect(await sumsOf(account)).toMatchObject({ rows: 0 });
    await chooseHeadings(THIS_MACHINE, account.id, asked.importId, { Taps: 'clicks' });
    expect(await takeIn(account, file)).toMatchObject({ state: 'done', kept: 1 });
  });

  test('cannot be matched to a field or heading that there is not', async () => {
    const account = await anAccount();
    const { importId } = await takeIn(account, file);
    const other = await anAccount();
    await expect(chooseHeadings(THIS_MACHINE, other.id, importId, { Taps: 'clicks' })).rejects.toThrow(
      `The account has no import ${importId}.`,
    );
    await expect(
      chooseHeadings(THIS_MACHINE, account.id, importId, { Taps: 'cliks', Nonsense: 'clicks' }),
    ).rejects.toMatchObject({
      code: 'bad-request',
      faults: [{ where: 'matched.Taps' }, { where: 'matched.Nonsense' }],
    });
  });
});

describe('an import that does not reach its end', () => {
  async function* cutOff(file: string) {
    yield* inPieces(file.slice(0, file.length / 2), 4096);
    throw Object.assign(new Error('aborted'), { code: 'ECONNRESET' });
  }

  test.each<[string, (file: string) => AsyncIterable<Uint8Array>]>([
    ['because the upload is cut off', cutOff],
    ['because a quote never closes at its end', (file) => inPieces(`${file}2026-10-01,"C1`, 4096)],
    [
      'because it turns into bytes that are no text',
      (file) => inPieces(Buffer.concat([Buffer.from(file), Buffer.from([0xff, 0xfe, 0x80, 0x0a])]), 4096),
    ],
  ])('%s keeps nothing of it', async (_, source) => {
    const account = await anAccount();
    const result = await takeIn(account, source(aReport({ rows: manyRows(4000) })));
    expect(result).toMatchObject({ state: 'refused', kept: 0 });
    expect(result.message).toContain('Nothing was taken in');
    expect(await sumsOf(account)).toMatchObject({ rows: 0 });
    expect(await takeIn(account, aReport({ rows: manyRows(10) }))).toMatchObject({ state: 'done', kept: 10 });
  });

  test('because its database connection is killed is refused, and nothing hangs', async () => {
    const account = await anAccount();
    async function* withKill() {
      const pieces = [...Array(20)].map((_, at) =>
        aReport({ rows: manyRows(2000).map((row) => row.replace('term ', `t${at} `)) }),
      );
      yield Buffer.from(pieces[0]);
      await db()`
        select pg_terminate_backend(pid) from pg_stat_activity
        where application_name = 'mowing' and state like 'idle in transaction%' and pid <> pg_backend_pid()
          and datname = current_database()`; // others test beside this one
      for (const piece of pieces.slice(1)) yield Buffer.from(piece.slice(piece.indexOf('\n') + 1));
    }
    const result = await takeIn(account, withKill());
    expect(result.state).toBe('refused');
    expect(await sumsOf(account)).toMatchObject({ rows: 0 });
  });

  test('a word on how far it is that comes late does not take back its end', async () => {
    const account = await anAccount();
    const { importId, state } = await takeIn(account, aReport({ rows: manyRows(3) }));
    await touchImport(db(), importId, { state: 'reading', bytesRead: 1, read: 1 });
    expect(state).toBe('done');
    expect(await findImport(db(), importId)).toMatchObject({ state: 'done', read: 3 });
  });
});
