import { lensNamed } from '../../core/lenses';
import { dayNumber, daysIn } from '../../core/units';
import { sumsIn } from '../../core/windows';
import type {
  PeriodsRequest,
  RowDaysAnswer,
  RowPeriodColumns,
  RowsRequest,
  SparksAnswer,
} from '../../contract/field';
import { MowingError } from '../../contract/mowingError';
import { countChangeDays } from '../../db/queries/rowHistory';
import { readRowDays, readRowPeriods, readSparks } from '../../db/queries/rowDays';
import { needAccount } from '../accounts/accounts';
import { db } from '../context/context';

async function check({ account, ids, parts, lens, from, to }: RowsRequest): Promise<void> {
  await needAccount(account);
  const needsParts = lensNamed(lens).part !== null;
  if (needsParts && ids.length !== parts.length)
    throw new MowingError('bad-request', `The lens ${lens} needs as many parts as ids.`);
  if (from > to) throw new MowingError('bad-request', `The span ends (${to}) before it begins (${from}).`);
}

/** The days of some rows together, and how much was changed on them. @throws MowingError for a span or keys that fit nothing */
export async function loadRowDays(request: RowsRequest): Promise<RowDaysAnswer> {
  await check(request);
  const { account, from, to } = request;
  const [days, changes] = await Promise.all([
    readRowDays(db(), account, request, from, to),
    countChangeDays(db(), account, request, from, to),
  ]);
  return { days, changes };
}

/** What each row came to by week or month. @throws MowingError where the days came summed */
export async function loadRowPeriods(request: PeriodsRequest): Promise<RowPeriodColumns> {
  await check(request);
  const { account, from, to, steps } = request;
  const [sum] = sumsIn({ from, to }, (await needAccount(account)).sums);
  if (sum)
    throw new MowingError(
      'conflict',
      `The figures of ${sum.from} to ${sum.to} came summed: nothing is known of their weeks. Choose other days.`,
    );
  return readRowPeriods(db(), account, request, { from, to, steps });
}

/** Spend of each row by day. */
export async function loadSparks(request: RowsRequest): Promise<SparksAnswer> {
  await check(request);
  const { account, from, to, ids } = request;
  const length = daysIn(from, to);
  const spend = ids.map(() => new Array<number>(length).fill(0));
  const first = dayNumber(from);
  for (const one of await readSparks(db(), account, request, from, to))
    spend[one.n - 1][dayNumber(one.day) - first] = one.spend;
  return { spend };
}
