import { addDays } from '../../core/units';
import type { StepName } from '../../contract/review';
import { dropPutAside, keepPutAside } from '../../db/queries/putAside';
import { needAccount } from '../accounts/accounts';
import { todayOf } from '../accounts/today';
import { db } from '../context/context';

/** A proposal that is left does not come back for a month, one put off comes back after a week: the next round. */
const DAYS = { left: 30, later: 7 };

/** Puts rows of a step aside, or takes them back. */
export async function putAside(
  accountId: number,
  step: StepName,
  rows: { adGroupId: number; termId: number }[],
  verdict: 'left' | 'later' | 'back',
): Promise<void> {
  const account = await needAccount(accountId);
  if (verdict === 'back') return dropPutAside(db(), accountId, step, rows);
  return keepPutAside(db(), accountId, step, rows, verdict, addDays(todayOf(account), DAYS[verdict]));
}
