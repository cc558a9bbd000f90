import type { AccountRow } from '../../db/queries/accounts';
import { newestIds } from '../../db/queries/tree';
import { todayOf } from '../accounts/today';
import { db } from '../context/context';

/**
 * Names the state of everything of an account that answers hang on: what is kept under another stamp is out of date. Drafts of campaigns
 * and ad groups raise no revision, nor do funds that come to nothing or are topped up: then no campaign runs, or all do again.
 */
export async function stampOf(account: AccountRow): Promise<string> {
  const { id, revision, figures, targetAcos, funds } = account;
  const own = [revision, figures, targetAcos, funds === 0, todayOf(account)];
  return [...own, ...(await newestIds(db(), id))].join(' ');
}
