import { afterAll, describe, expect, test } from 'vitest';
import { closeContext } from '../../src/server/context/context';
import { anAccount, sumsOf, take } from './account';

afterAll(closeContext);

const HEADINGS = 'Date;Campaign;Ad group;Target;Match type;Search term;Impressions;Clicks;Spend;Orders;Sales';
const row = (day: string, spend: string, term = 'note jar') =>
  `${day};Notes;exact;jar;broad;${term};900;40;${spend};4;80,00`;
const file = (...rows: string[]) => `${[HEADINGS, ...rows].join('\n')}\n`;

describe('a file that can be read in two ways', () => {
  test('is asked for its decimals, and the answer holds for the next file with these headings', async () => {
    const account = await anAccount();
    const text = file(row('2026-10-05', '3.441')).replace('80,00', '80');
    const asked = await take(account, 'terms', text);
    expect(asked).toMatchObject({ state: 'needs-mapping', asks: { decimals: '3.441', dayOrder: null } });
    expect(asked.message).toContain('“3.441” may hold thousands or decimals');
    expect(await sumsOf(account)).toMatchObject({ rows: 0 });
    expect(await take(account, 'terms', text, { decimals: '.' })).toMatchObject({ state: 'done' });
    expect(await sumsOf(account)).toMatchObject({ spend: '3441000' });
    const next = file(row('2026-10-06', '1.250')).replace('80,00', '80');
    expect(await take(account, 'terms', next)).toMatchObject({ state: 'done' });
    expect(await sumsOf(account)).toMatchObject({ spend: '4691000' });
  });

  test('is asked whether the day or the month comes first; what contradicts the answer is refused by its line', async () => {
    const account = await anAccount();
    const text = file(row('05/10/2026', '3,10'), row('06/10/2026', '3,10'));
    expect((await take(account, 'terms', text)).asks).toEqual({ decimals: null, dayOrder: '05/10/2026' });
    const first = await take(account, 'terms', text, { dayOrder: 'month-first' });
    expect(first).toMatchObject({ state: 'done', firstDay: '2026-05-10', lastDay: '2026-06-10' });
    const later = await take(account, 'terms', file(row('07/10/2026', '3,10'), row('23/10/2026', '3,10')));
    expect(later).toMatchObject({ kept: 1, firstDay: '2026-07-10' });
    expect(later.lines[0]).toEqual({
      line: 3,
      reason: 'There is no such day (23/10/2026). Days are read month first in this file.',
    });
  });

  test('with two columns for one figure says which they are, and takes neither before it is told', async () => {
    const account = await anAccount();
    const text = file(`${row('2026-10-05', '3,10')};90,00`).replace(';Sales', ';7 day sales;14 day sales');
    const asked = await take(account, 'terms', text);
    expect(asked.several).toEqual([{ field: 'sales', headings: ['7 day sales', '14 day sales'] }]);
    expect(asked).toMatchObject({ state: 'needs-mapping', unmatched: ['sales'] });
    expect(asked.message).toContain('Sales: “7 day sales”, “14 day sales”. Say which one counts.');
  });
});

describe('every import is summed beside what is here', () => {
  test('so that a row that was refused shows in the figures', async () => {
    const account = await anAccount();
    const { sums } = await take(account, 'terms', file(row('2026-10-05', '3,10'), row('2026-10-05', '3,10')));
    expect(sums.find(({ field }) => field === 'clicks')).toEqual({ field: 'clicks', file: 80, kept: 40 });
    expect(sums.find(({ field }) => field === 'spend')).toEqual({
      field: 'spend',
      file: 6_200_000,
      kept: 3_100_000,
    });
  });

  test('and compared with the file’s own total line, which is no row', async () => {
    const account = await anAccount();
    const total = (clicks: number) => `Total;;;;;;900;${clicks};3,10;4;80,00`;
    const good = await take(account, 'terms', file(row('2026-10-05', '3,10'), total(40)));
    expect(good).toMatchObject({ kept: 1, refused: 0, read: 1 });
    expect(good.message).toContain('The rows agree with the file’s own total in line 3.');
    const bad = await take(account, 'terms', file(row('2026-10-05', '3,10'), total(41)));
    expect(bad.message).toContain('differ from the file’s own total in line 3: clicks 40 against 41');
    const named = await take(account, 'terms', file(row('2026-10-06', '3,10').replace('Notes', 'Total')));
    expect(named).toMatchObject({ kept: 1 });
  });
});
