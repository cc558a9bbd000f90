import { afterAll, expect, test } from 'vitest';
import { RIGHTS } from '../../src/contract/people';
import { loadAccountList } from '../../src/server/accounts/accountList';
import { closeContext, db } from '../../src/server/context/context';
import { anAccount, take } from './account';

afterAll(closeContext);

const HEAD = 'Date,Campaign,Ad group,Target,Match type,Search term,Impressions,Clicks,Spend,Orders,Sales\n';
const row = (day: number, spend: string, sales: string) =>
  `2026-10-${String(day).padStart(2, '0')},Side by side,all,jar,exact,jar,100,10,${spend},1,${sales}\n`;

test('an account whose figures cannot be told says so, and the others are told', async () => {
  const [full, broken] = [await anAccount(), await anAccount()];
  await take(full, 'terms', HEAD + row(1, '2.50', '20.00'));
  await take(broken, 'terms', HEAD + row(1, '2.50', '20.00') + row(2, '2.50', '20.00'));
  await db()`update mowing.term_day set sales_micros = 9007199254740991 where account_id = ${broken.id}`;
  await db()`update mowing.term_week set sales_micros = 2 * 9007199254740991 where account_id = ${broken.id}`;
  const lines = await loadAccountList((id) => ([full.id, broken.id].includes(id) ? RIGHTS : null));
  expect(lines.find(({ id }) => id === full.id)).toMatchObject({ spend: 2_500_000, trouble: [] });
  const line = lines.find(({ id }) => id === broken.id)!;
  expect(line.window).toBeNull();
  expect(line.trouble).toEqual([expect.stringMatching(/^Its figures could not be worked out: .* too large/)]);
});

test('each account that somebody may see stands there with its figures, or with what it lacks; no other', async () => {
  const [full, empty, hidden] = [await anAccount(), await anAccount(), await anAccount()];
  await take(full, 'terms', HEAD + row(1, '2.50', '20.00') + row(2, '3.25', '0.00'));
  const lines = await loadAccountList((id) => (id === hidden.id ? null : RIGHTS));
  const [line, bare] = [full, empty].map(({ id }) => lines.find((one) => one.id === id)!);
  const [{ spend, sales }] = await db()<{ spend: number; sales: number }[]>`
    select sum(spend_micros)::bigint as spend, sum(sales_micros)::bigint as sales from mowing.term_day
    where account_id = ${full.id} and day between ${line.window!.from} and ${line.window!.to}`;
  expect([line.spend, line.sales]).toEqual([Number(spend), Number(sales)]);
  expect([line.spend, line.lastDay, line.trouble]).toEqual([5_750_000, '2026-10-02', []]);
  expect(line.broughtAt).not.toBeNull();
  expect(bare).toMatchObject({
    window: null,
    spend: 0,
    month: null,
    broughtAt: null,
    trouble: ['No figures yet.'],
  });
  expect(lines.some(({ id }) => id === hidden.id)).toBe(false);
});
