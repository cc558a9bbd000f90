import { afterAll, describe, expect, test } from 'vitest';
import { FACTS } from '../../src/contract/facts';
import type { ReportKind } from '../../src/contract/facts';
import { addDays, daysIn } from '../../src/core/units';
import type { AccountRow } from '../../src/db/queries/accounts';
import { addedUp } from '../../src/db/queries/addedUp';
import { factTable, keyColumns } from '../../src/db/queries/factTables';
import { closeContext, db } from '../../src/server/context/context';
import { removeSum } from '../../src/server/imports/summed';
import { THIS_MACHINE } from '../../src/server/trail';
import { Stream } from '../../src/market/sim/chance/stream';
import { anAccount, take } from './account';

afterAll(closeContext);

const FIRST = '2026-09-25';
const DAYS = 40;
const AD = 'Impressions,Clicks,Spend,Orders,Units,Sales';
const TARGET = 'Date,Campaign ID,Campaign,Ad group ID,Ad group,Target ID,Target,Match type';

/** Figures of a row of ads: most without a click. */
function figures(random: Stream): string {
  const clicks = random.below(4) === 0 ? random.below(30) : 0;
  const orders = clicks === 0 ? 0 : random.below(3);
  return `${1 + random.below(500)},${clicks},${(clicks * 0.37).toFixed(2)},${orders},${orders},${(orders * 18.5).toFixed(2)}`;
}

/** A file of some days, each row on one of a few things. @param own tells the campaigns from those of other accounts */
const FILES: Record<string, (random: Stream, days: string[], own: string) => string> = {
  terms: (random, days, own) =>
    [
      `${TARGET},Search term,${AD}`,
      ...days.flatMap((day) =>
        ['red jar', 'big jar', 'jar lid'].flatMap((term) =>
          random.below(3) === 0
            ? []
            : [`${day},C${own},Jars ${own},G${own},exact,T${own},jar,broad,${term},${figures(random)}`],
        ),
      ),
    ].join('\n'),
  targets: (random, days, own) =>
    [
      `${TARGET},${AD}`,
      ...days.map((day) => `${day},C${own},Jars ${own},G${own},exact,T${own},jar,broad,${figures(random)}`),
    ].join('\n'),
  placements: (random, days, own) =>
    [
      `Date,Campaign ID,Campaign,Placement,${AD}`,
      ...days.map((day) => `${day},C${own},Jars ${own},top of search,${figures(random)}`),
    ].join('\n'),
  hours: (random, days, own) =>
    [
      `Date,Hour,Campaign ID,Campaign,${AD}`,
      ...days.map((day) => `${day},${random.below(24)},C${own},Jars ${own},${figures(random)}`),
    ].join('\n'),
  sales: (random, days) =>
    [
      'Date,Item code,Product,Orders,Units,Sales,Refunded units,Refunded sales',
      ...days.map(
        (day) => `${day},B0JAR00001,Jar,${random.below(9)},${random.below(9)},${random.below(99)}.50,1,2.00`,
      ),
    ].join('\n'),
};

/** A fact's weeks as they are kept, and as its days come to. */
async function weeksOf(account: number, kind: ReportKind) {
  const table = factTable(kind);
  const keys = keyColumns(table).filter((column) => column !== 'day');
  const columns = table.figures.map(({ column }) => column);
  const clicked = columns.includes('clicks');
  const list = [...keys, ...columns].join(', ');
  const kept = await db().unsafe(
    `select week, ${list}${clicked ? ', clicked_days' : ''} from ${table.weekTable} where account_id = $1 order by week, ${keys.join(', ')}`,
    [account],
  );
  const days = await db().unsafe(
    `select date_trunc('week', day)::date as week, ${keys.join(', ')}, ${columns.map((column) => `sum(${column})::bigint as ${column}`).join(', ')}
       ${clicked ? ', count(*) filter (where clicks > 0) as clicked_days' : ''}
     from ${table.table} where account_id = $1 group by 1, ${keys.join(', ')} order by 1, ${keys.join(', ')}`,
    [account],
  );
  return { kept: kept.map((row) => ({ ...row })), days: days.map((row) => ({ ...row })) };
}

const KINDS = (Object.keys(FACTS) as ReportKind[]).filter((kind) => FACTS[kind].weekTable !== null);

describe('weeks are what their days come to', () => {
  test('after files of new days, of days again with later orders, of old days between, and after a sum was removed', async () => {
    const account = await anAccount();
    const random = new Stream(21);
    for (let file = 0; file < 24; file += 1) {
      const kind = KINDS[file % KINDS.length];
      const from = addDays(FIRST, random.below(DAYS));
      const days = Array.from({ length: 1 + random.below(12) }, (_, at) => addDays(from, at));
      const done = await take(account, kind, `${FILES[kind](random, days, String(account.id))}\n`);
      expect(done.state).toBe('done');
      const { kept, days: own } = await weeksOf(account.id, kind);
      expect(kept).toEqual(own);
      expect(kept.length).toBeGreaterThan(0);
    }
    const summed = `Start date,End date,Campaign,Ad group,Target,Match type,Search term,Impressions,Clicks,Spend,Orders,Sales
2026-08-03,2026-08-20,Jars ${account.id},exact,jar,broad,red jar,900,40,20.00,4,80.00\n`;
    expect(await take(account, 'terms', summed)).toMatchObject({ kept: 1 });
    expect((await weeksOf(account.id, 'terms')).kept[0]).toMatchObject({ clicks: 40 });
    await removeSum(THIS_MACHINE, account.id, 'terms', '2026-08-03');
    const { kept, days } = await weeksOf(account.id, 'terms');
    expect(kept).toEqual(days);
  });

  test('and any spans of days that overlap are the same by weeks as by days', async () => {
    const account = await withTerms();
    const random = new Stream(22);
    const sum = async (rows: string, where: string) => {
      const [one] = await db().unsafe(
        `select coalesce(sum(f.clicks), 0)::bigint as clicks, coalesce(sum(f.impressions), 0)::bigint as impressions,
           coalesce(sum(f.clicked_days), 0)::bigint as days from ${rows} f where ${where}`,
        [account.id],
      );
      return { ...one };
    };
    const byDay =
      '(select *, (clicks > 0)::integer as clicked_days from mowing.term_day where account_id = $1)';
    const sizes = new Set<number>();
    for (let round = 0; round < 30; round += 1) {
      const aSpan = () => {
        const from = addDays(FIRST, random.below(DAYS) - 3);
        return { from, to: addDays(from, random.below(DAYS)) };
      };
      const spans = { now: aSpan(), before: aSpan(), long: aSpan() };
      const { rows, isIn } = addedUp(
        {
          table: 'term_day',
          weekTable: 'term_week',
          columns: ['clicks', 'impressions'],
          withClickedDays: true,
        },
        spans,
      );
      for (const [name, { from, to }] of Object.entries(spans)) {
        const days = await sum(byDay, `f.day between '${from}' and '${to}'`);
        expect(await sum(rows, isIn(name, 'f'))).toEqual(days);
        sizes.add(daysIn(from, to));
      }
    }
    expect(sizes.size).toBeGreaterThan(10);
  });

  test('and what is no day never becomes part of a question', () => {
    const of = { table: 'term_day', weekTable: 'term_week', columns: ['clicks'] };
    expect(() => addedUp(of, { now: { from: "2026-10-01' or true", to: '2026-10-02' } })).toThrow();
  });
});

async function withTerms(): Promise<AccountRow> {
  const account = await anAccount();
  const days = Array.from({ length: DAYS }, (_, at) => addDays(FIRST, at));
  await take(account, 'terms', `${FILES.terms(new Stream(5), days, String(account.id))}\n`);
  return account;
}
