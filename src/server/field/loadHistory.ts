import type { HistoryAnswer } from '../../contract/field';
import { listHistory } from '../../db/queries/rowHistory';
import type { HistoryQuery } from '../../contract/requests';
import { needAccount } from '../accounts/accounts';
import { db } from '../context/context';

/** Accepted changes of a thing since a day, newest first. */
export async function loadHistory({ account, from, ...of }: HistoryQuery): Promise<HistoryAnswer> {
  await needAccount(account);
  return { changes: await listHistory(db(), account, of, from) };
}
