import { createHash } from 'node:crypto';
import type { AccountRow } from '../../db/queries/accounts';
import { readNegativeLists } from '../../db/queries/negativeLists';
import { listRoutes } from '../../db/queries/routes';
import { newestIds } from '../../db/queries/tree';
import { readWordLists } from '../../db/queries/wordLists';
import { todayOf } from '../accounts/today';
import { db } from '../context/context';

/** A short name of a value: of another one it is another. */
export const hashOf = (value: unknown): string =>
  createHash('sha1').update(JSON.stringify(value)).digest('base64url');

/**
 * Names the state of everything of an account that answers hang on: what is kept under another stamp is out of date. Drafts of campaigns
 * and ad groups raise no revision, nor do funds that come to nothing or are topped up: then no campaign runs, or all do again.
 */
export async function stampOf(account: AccountRow): Promise<string> {
  const { id, revision, figures, targetAcos, funds } = account;
  const own = [revision, figures, targetAcos, funds === 0, todayOf(account)];
  return [...own, ...(await newestIds(db(), id))].join(' ');
}

/** The same with what search terms are told apart by, where they move to and what shuts them out: none of these raises a revision. */
export async function stampOfTerms(account: AccountRow): Promise<string> {
  const { id } = account;
  const own = await Promise.all([readWordLists(db(), id), listRoutes(db(), id), readNegativeLists(db(), id)]);
  return `${await stampOf(account)} ${hashOf(own)}`;
}
