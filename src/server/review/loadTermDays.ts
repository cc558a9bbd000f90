import type { TermDays } from '../../contract/review';
import { readTermDays } from '../../db/queries/terms';
import { needAccount } from '../accounts/accounts';
import { db } from '../context/context';

/** The days of one term in one ad group. */
export async function loadTermDays(at: Parameters<typeof readTermDays>[1]): Promise<TermDays> {
  await needAccount(at.accountId);
  return { days: await readTermDays(db(), at) };
}
