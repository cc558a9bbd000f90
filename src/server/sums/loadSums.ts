import type { SumsQuery } from '../../contract/requests';
import { completionOf, windowBefore } from '../../core/windows';
import { addDays, dayNumber, microsToDecimal } from '../../core/units';
import { MowingError } from '../../contract/mowingError';
import { readSums } from '../../db/queries/sums';
import type { Grain, Scope, SumsGroup, SumsRow } from '../../db/queries/sums';
import { needAccount } from '../accounts/accounts';
import { todayOf } from '../accounts/today';
import { db } from '../context/context';
import { loadCompletion } from '../sync/loadCompletion';

/** What sums are asked for. */
/** The sums of an account over some days, and of its parts at the grain asked for. Money as decimal strings. */
export async function loadSums({
  account: accountId,
  grain,
  from,
  to,
  scope,
  compare,
  unsettled,
}: SumsQuery) {
  const account = await needAccount(accountId);
  if (from > to) throw new MowingError('bad-request', `“to” (${to}) is before “from” (${from}).`);
  const before = compare === 'before' ? windowBefore({ from, to }) : null;
  const completion =
    unsettled === 'complete' ? await completionDays(accountId, todayOf(account), from, to) : [];
  const groups = await readSums(db(), {
    accountId,
    grain,
    scope: readScope(scope),
    from,
    to,
    before,
    completion,
  });
  const items = grain === 'account' ? groups.map((group) => ({ ...group, name: account.name })) : groups;
  return {
    account: accountId,
    currency: account.currency,
    grain,
    scope: scope ?? null,
    from,
    to,
    ...withDecimals(addUp(groups)),
    before: before && { ...before, ...withDecimals(addUp(groups.map((group) => group.before!))) },
    completed: completion.map(({ day }) => day),
    items: items.map(({ before: was, ...group }) => ({
      ...named(grain, group),
      ...withDecimals(group),
      ...(was === null ? {} : { before: withDecimals(was) }),
    })),
  };
}

/** A group under the word for its grain: {"campaignId": 3, "campaign": "…"}. */
function named(grain: Grain, { id, name }: Pick<SumsGroup, 'id' | 'name'>) {
  const word = grain === 'ad-group' ? 'adGroup' : grain;
  return id === null ? { [word]: name } : { [`${word}Id`]: id, [word]: name };
}

function readScope(scope: string | undefined): Scope | null {
  if (scope === undefined) return null;
  const [kind, id] = scope.split(':');
  return { kind: kind as Scope['kind'], id: Number(id) };
}

/** The days of a window that are not final, with the share of their orders that is visible. */
async function completionDays(accountId: number, today: string, from: string, to: string) {
  const curve = await loadCompletion(accountId, today);
  const days: { day: string; share: number }[] = [];
  const count = dayNumber(to) - dayNumber(from) + 1;
  for (let at = 0; at < count; at += 1) {
    const day = addDays(from, at);
    const share = completionOf(curve, day, today);
    if (share > 0 && share < 1) days.push({ day, share });
  }
  return days;
}

function withDecimals<T extends SumsRow>({
  id: _id,
  name: _name,
  ...row
}: T & { id?: unknown; name?: unknown }) {
  const decimal = (micros: string) => microsToDecimal(BigInt(micros));
  const { spend, sales, totalSales } = row as unknown as SumsRow;
  return {
    ...row,
    spend: decimal(spend),
    sales: decimal(sales),
    ...(totalSales === undefined ? {} : { totalSales: totalSales === null ? null : decimal(totalSales) }),
  };
}

/** The parts hold everything, so the total needs no second look at the days. */
function addUp(items: SumsRow[]): SumsRow {
  const sum = (of: (row: SumsRow) => number) => items.reduce((total, row) => total + of(row), 0);
  const money = (of: (row: SumsRow) => string | null | undefined) =>
    String(items.reduce((total, row) => total + BigInt(of(row) ?? 0), 0n));
  const hasTotals = items.some(({ totalSales }) => totalSales !== undefined);
  return {
    rows: sum((row) => row.rows),
    impressions: sum((row) => row.impressions),
    clicks: sum((row) => row.clicks),
    spend: money((row) => row.spend),
    orders: sum((row) => row.orders),
    units: sum((row) => row.units),
    sales: money((row) => row.sales),
    ...(hasTotals ? { totalSales: money((row) => row.totalSales) } : {}),
  };
}
