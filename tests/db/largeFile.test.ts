import { afterAll, expect, test } from 'vitest';
import { addDays } from '../../src/core/units';
import { closeContext, db } from '../../src/server/context/context';
import { aReport, aReportRow, HEADINGS } from '../make/report';
import { anAccount, sumsOf, takeIn } from './account';

afterAll(closeContext);

const ROWS = 300_000;
const PER_DAY = 10_000;

/** A report of 300 MB: few of its bytes are figures, since its campaign has a name of a thousand letters. */
async function* aLargeReport(): AsyncGenerator<Uint8Array> {
  const campaign = 'Weights '.repeat(60).trim();
  const line = aReportRow({
    day: 'DAY',
    term: 'TERM',
    campaign,
    adGroup: campaign,
    spend: '0.31',
    sales: 0,
    orders: 0,
    units: 0,
  });
  yield Buffer.from(`${HEADINGS}\n`);
  for (let from = 0; from < ROWS; from += 500) {
    const day = addDays('2026-10-01', Math.floor(from / PER_DAY));
    const rows = Array.from({ length: 500 }, (_, at) =>
      line.replace('DAY', day).replace('TERM', `term ${(from + at) % PER_DAY}`),
    );
    yield Buffer.from(`${rows.join('\n')}\n`);
  }
}

test('a file of nothing but new targets and terms takes no longer because the database knows of none of them', async () => {
  const timed = async (rows: number, segmentRows: number) => {
    const text = aReport({
      rows: Array.from({ length: rows }, (_, at) =>
        aReportRow({ targetId: `new ${at}`, target: `kw ${at}`, match: 'broad', term: `term ${at}` }),
      ),
    });
    const account = await anAccount();
    const from = Date.now();
    expect(await takeIn(account, text, segmentRows)).toMatchObject({ state: 'done', kept: rows, refused: 0 });
    return Date.now() - from;
  };
  const rows = 30_000;
  const atOnce = await timed(rows, rows);
  for (let others = 0; others < 30; others += 1) await timed(10, 10);
  // By the statistics of these a new account has next to no row: looking up row by row then takes the square of what it has.
  await db()`analyze mowing.term, mowing.target`;
  expect(await timed(rows, rows / 2)).toBeLessThan(4 * atOnce);
});

test('a file of 300 MB is taken in at constant memory', async () => {
  const account = await anAccount();
  let bytes = 0;
  let most = 0;
  const before = process.memoryUsage().rss;
  async function* watched() {
    for await (const part of aLargeReport()) {
      bytes += part.length;
      most = Math.max(most, process.memoryUsage().rss - before);
      yield part;
    }
  }
  expect(await takeIn(account, watched())).toMatchObject({ state: 'done', kept: ROWS, refused: 0 });
  expect(bytes).toBeGreaterThan(280_000_000);
  expect(await sumsOf(account)).toMatchObject({ rows: ROWS, spend: String(ROWS * 310_000) });
  // Held whole it would be 300 MB of text and as much again in rows.
  expect(most).toBeLessThan(250_000_000);
});
