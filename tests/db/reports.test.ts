import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { REPORT_PARTS } from '../../src/contract/report';
import type { ReportBlock, ReportContent } from '../../src/contract/report';
import { addDays, weekdayOf } from '../../src/core/units';
import { sendBale } from '../../src/server/changes/sendBale';
import { stageChanges } from '../../src/server/changes/stageChanges';
import { closeContext, db } from '../../src/server/context/context';
import { loadTree } from '../../src/server/field/loadTree';
import { keepReport, loadReports } from '../../src/server/reports/keptReports';
import { makeLink, openLink, takeLinkBack } from '../../src/server/reports/links';
import { makeReport } from '../../src/server/reports/makeReport';
import { needReport } from '../../src/server/reports/needReport';
import { reportFile } from '../../src/server/reports/reportFile';
import { makeDueReports, putTemplate } from '../../src/server/reports/templates';
import { THIS_MACHINE } from '../../src/server/trail';
import { anAccount } from './account';
import { aShop, because } from './shop';
import type { Shop } from './shop';

// Reports for paper: what they tell is what the database has; kept, made by themselves, shown by a link.

let shop: Shop;
let account: number;
let days: { from: string; to: string };

beforeAll(async () => {
  shop = await aShop({ days: 40 });
  ({ account } = shop);
  days = (await loadReports(account)).usual;
  days = { from: addDays(days.to, -6), to: days.to };
}, 240_000);
afterAll(async () => {
  await shop.end();
  await closeContext();
});

const parts = REPORT_PARTS.map((part) => ({ part, note: '' }));
const asked = (over: object = {}) => ({ account, ...days, paper: 'A4' as const, parts, ...over });
const tablesOf = (content: ReportContent, key: string) =>
  content.parts
    .find((part) => part.key === key)!
    .blocks.flatMap((block) => (block.kind === 'table' ? [block] : []));
const textsOf = (content: ReportContent, key: string) =>
  content.parts
    .find((part) => part.key === key)!
    .blocks.flatMap((block: ReportBlock) => (block.kind === 'text' ? [block.text] : []))
    .join(' ');

describe('a report', () => {
  test('tells of every part, sums that are the database’s, and causes that add up', async () => {
    const content = await makeReport(asked());
    expect(content.parts.map(({ key }) => key)).toEqual([...REPORT_PARTS]);
    expect(content.before).toEqual({ from: addDays(days.from, -7), to: addDays(days.from, -1) });
    const [sums] = await db()<{ spend: number; sales: number; orders: number }[]>`
      select sum(spend_micros)::bigint as spend, sum(sales_micros)::bigint as sales, sum(orders)::integer as orders
      from mowing.target_day where account_id = ${account} and day between ${days.from} and ${days.to}`;
    const [, products] = tablesOf(content, 'products');
    expect(products.total!.slice(1, 4)).toEqual([sums.spend, sums.sales, sums.orders]);
    const column = (at: number) => products.rows.reduce((sum, row) => sum + (row[at] as number), 0);
    expect([column(1), column(2)]).toEqual([sums.spend, sums.sales]);
    const [causes, lines] = tablesOf(content, 'why');
    const adds = (table: typeof causes, at: number) =>
      table.rows.reduce((sum, row) => sum + (row[at] as number), 0);
    expect(adds(causes, 2)).toBeCloseTo(causes.total![2] as number, 9);
    if (lines) expect(adds(lines, 3)).toBeCloseTo(lines.total![3] as number, 9);
    expect(textsOf(content, 'done')).toBe('Nothing was sent in these days.');
    expect(textsOf(content, 'next')).toContain('Nothing was sent from here yet');
  });

  test('tells what was sent with its reason, what was refused with its answer, and when the next round is due', async () => {
    const { targets } = await loadTree(account);
    const [one, two] = targets.filter(({ bid }) => bid !== null);
    const change = (target: typeof one, to: number) => ({
      kind: 'set-bid' as const,
      targetId: target.id,
      from: target.bid,
      to,
    });
    const ids = await stageChanges(THIS_MACHINE, account, [
      { ...because, reason: 'It pays for more.', change: change(one, one.bid! + 20_000) },
      { ...because, change: change(two, 1_000) },
    ]);
    await sendBale(
      THIS_MACHINE,
      account,
      ids.flatMap((id) => id ?? []),
    );
    const [{ day }] = await db()<{ day: string }[]>`
      select max(answered_on) as day from mowing.change where account_id = ${account}`;
    await shop.pass(1);
    const content = await makeReport(asked({ from: day, to: day, parts: parts.slice(4, 11) }));
    expect(textsOf(content, 'done')).toContain(
      '1 bale went to the market with 2 changes: 1 accepted, 1 refused.',
    );
    const [, largest, refused] = tablesOf(content, 'done');
    expect(largest.rows[0].join(' ')).toContain('It pays for more.');
    expect(refused.rows[0][3]).toMatch(/\w/);
    expect(textsOf(content, 'next')).toMatch(/^The next round is on/);
  });

  test('is of two periods that are chosen, with its parts in the order and with the notes that were given', async () => {
    const other = { beforeFrom: addDays(days.from, -20), beforeTo: addDays(days.from, -14) };
    const content = await makeReport(
      asked({
        ...other,
        parts: [
          { part: 'next', note: 'Soon.' },
          { part: 'summary', note: '' },
        ],
      }),
    );
    expect(content.before).toEqual({ from: other.beforeFrom, to: other.beforeTo });
    expect(content.parts.map(({ key, note }) => [key, note])).toEqual([
      ['next', 'Soon.'],
      ['summary', ''],
    ]);
  });

  test('is refused for days that end before they begin, days to come, and an account without figures', async () => {
    await expect(makeReport(asked({ from: days.to, to: days.from }))).rejects.toThrow('1 to 400 days');
    await expect(makeReport(asked({ from: '2098-01-01', to: '2098-01-07' }))).rejects.toThrow(
      'Nothing is known',
    );
    const { id } = await anAccount();
    await expect(makeReport({ ...asked(), account: id })).rejects.toThrow('no figures yet');
  });

  test('is a workbook with the same tables', async () => {
    const content = await makeReport(asked());
    const { body } = reportFile('Week', content);
    const packed: Uint8Array[] = [];
    for await (const part of body) packed.push(part);
    const sheets = await sheetsOf(Buffer.concat(packed));
    expect(sheets[0][0]).toEqual(['Week']);
    const own = sheets.find(([heads]) => heads[0] === 'Product')!;
    const [, products] = tablesOf(content, 'products');
    expect(own).toHaveLength(products.rows.length + 2);
    expect(Number(own.at(-1)![1])).toBeCloseTo((products.total![1] as number) / 1e6, 6);
  });
});

describe('kept', () => {
  test('are the last twelve', async () => {
    const first = await keepReport(THIS_MACHINE, asked({ parts: parts.slice(-1) }));
    for (let more = 0; more < 12; more += 1)
      await keepReport(THIS_MACHINE, asked({ parts: parts.slice(-1) }));
    expect((await loadReports(account)).reports).toHaveLength(12);
    await expect(needReport(account, first.id)).rejects.toThrow('not kept any more');
  });

  test('one is made by itself on its weekday, once', async () => {
    const { today } = await loadTree(account);
    const template = { name: 'Weekly', parts: parts.slice(0, 2), paper: 'A4' as const, days: 7 };
    await putTemplate(THIS_MACHINE, account, { ...template, weekday: (weekdayOf(today) + 1) % 7 });
    expect(await makeDueReports(account)).toBe(0);
    const [{ id }] = (await loadReports(account)).templates;
    await putTemplate(THIS_MACHINE, account, { ...template, id, weekday: weekdayOf(today) });
    expect(await makeDueReports(account)).toBe(1);
    expect(await makeDueReports(account)).toBe(0);
    expect((await loadReports(account)).reports[0]).toMatchObject({ template: 'Weekly' });
    await expect(putTemplate(THIS_MACHINE, account, { ...template, weekday: null })).rejects.toThrow(
      'a template called “Weekly” already',
    );
  });
});

describe('a link', () => {
  test('shows its report to whoever has it, until it ends or is taken back; changed by a letter it shows nothing', async () => {
    const { today } = await loadTree(account);
    const [{ id: report }] = (await loadReports(account)).reports;
    const open = (path: string) => openLink(path.replace('/shared/', ''));
    const nothing = 'This link shows nothing';
    const { id, path } = await makeLink(THIS_MACHINE, account, report, addDays(today, 5));
    expect((await open(path)).title).toBe((await needReport(account, report)).title);
    const last = path.at(-1) === 'A' ? 'B' : 'A';
    await expect(open(path.slice(0, -2) + last + last)).rejects.toThrow(nothing);
    await expect(open(path.replace(/\d+-/, '999999-'))).rejects.toThrow(nothing);
    await expect(open('/shared/nonsense')).rejects.toThrow(nothing);
    // Its day is signed with it.
    await db()`update mowing.report_link set until_day = until_day + 300 where link_id = ${id}`;
    await expect(open(path)).rejects.toThrow(nothing);
    await db()`update mowing.report_link set until_day = until_day - 300 where link_id = ${id}`;
    await open(path);
    await takeLinkBack(THIS_MACHINE, account, id);
    await expect(open(path)).rejects.toThrow(nothing);
    await expect(makeLink(THIS_MACHINE, account, report, today)).rejects.toThrow('has passed');
  });
});

/** The rows of every sheet of a workbook. */
async function sheetsOf(book: Buffer): Promise<string[][][]> {
  const { unzipSync, strFromU8 } = await import('fflate');
  const files = unzipSync(book);
  return Object.keys(files)
    .filter((name) => name.startsWith('xl/worksheets/'))
    .sort((a, b) => Number(/\d+/.exec(a)![0]) - Number(/\d+/.exec(b)![0]))
    .map((name) =>
      [...strFromU8(files[name]).matchAll(/<row [^>]*>(.*?)<\/row>/gs)].map(([, row]) =>
        [...row.matchAll(/<c[^>]*?(?:\/>|>(.*?)<\/c>)/gs)].map(([, cell]) =>
          (cell ?? '').replace(/<[^>]+>/g, ''),
        ),
      ),
    );
}
