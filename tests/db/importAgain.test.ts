import { afterAll, expect, test } from 'vitest';
import { addDays } from '../../src/core/units';
import type { AccountRow } from '../../src/db/queries/accounts';
import { closeContext, db } from '../../src/server/context/context';
import { Stream } from '../../src/market/sim/chance/stream';
import { aReport, aReportRow } from '../make/report';
import { anAccount, takeIn } from './account';

afterAll(closeContext);

// What an account holds after any files is what a simple model says: the latest row of a day, target and term counts; of rows that a file
// repeats, the first.

const FIRST = '2026-09-01';

interface Row {
  day: string;
  targetId: string;
  term: string;
  clicks: number;
  spend: string;
}

const keyOf = ({ day, targetId, term }: Row) => `${day} ${targetId} ${term}`;
const figuresOf = ({ clicks, spend }: Row) => `${clicks} ${Math.round(Number(spend) * 1e6)}`;

/** Rows of some days: some as they were told before, some with other figures, some twice. */
function aFile(random: Stream, told: ReadonlyMap<string, Row>): Row[] {
  const from = random.below(12);
  const days = Array.from({ length: 1 + random.below(6) }, (_, at) => addDays(FIRST, from + at));
  const isOld = random.below(3) > 0;
  const rows = days.flatMap((day) => {
    const before = [...told.values()].filter((row) => row.day === day);
    // Most days of a later report say what they said before.
    if (isOld && before.length > 0 && random.below(4) > 0) return before;
    return Array.from({ length: 1 + random.below(8) }, () => ({
      day,
      targetId: `T${random.below(2)}`,
      term: `term ${random.below(5)}`,
      clicks: random.below(6),
      spend: (random.below(400) / 100).toFixed(2),
    }));
  });
  return random.below(2) === 0 ? rows : rows.sort(() => random.below(3) - 1);
}

async function held(account: AccountRow): Promise<string[]> {
  const rows = await db()<{ key: string; figures: string }[]>`
    select d.day || ' ' || t.market_id || ' ' || term.text as key, d.clicks || ' ' || d.spend_micros as figures
    from mowing.term_day d
    join mowing.target t on t.target_id = d.target_id
    join mowing.term on term.account_id = d.account_id and term.term_id = d.term_id
    where d.account_id = ${account.id}`;
  return rows.map(({ key, figures }) => `${key}: ${figures}`).sort();
}

test('any files one after another leave what the latest row of each day says, and tell how many were new', async () => {
  const account = await anAccount();
  const random = new Stream(36);
  const told = new Map<string, Row>();
  let passed = 0;
  for (let file = 0; file < 60; file += 1) {
    const rows = aFile(random, told);
    const first = new Map<string, Row>();
    for (const row of rows) if (!first.has(keyOf(row))) first.set(keyOf(row), row);
    const isKnown = (row: Row) => {
      const before = told.get(keyOf(row));
      return before !== undefined && figuresOf(before) === figuresOf(row);
    };
    const unchanged = [...first.values()].filter(isKnown).length;
    const done = await takeIn(
      account,
      aReport({ rows: rows.map((row) => aReportRow({ ...row, campaignId: `C${account.id}` })) }),
      1 + random.below(9),
    );
    expect([done.kept, done.unchanged, done.refused]).toEqual([
      first.size - unchanged,
      unchanged,
      rows.length - first.size,
    ]);
    for (const [key, row] of first) told.set(key, row);
    expect(await held(account)).toEqual([...told].map(([key, row]) => `${key}: ${figuresOf(row)}`).sort());
    if (unchanged === rows.length) passed += 1;
  }
  // Files that said nothing new were among them.
  expect(passed).toBeGreaterThan(5);
});
