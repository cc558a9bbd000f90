import type { AccountInfo } from '../../contract/api';
import { recall } from './remembered';

/** Where a page carries its accounts, as JSON. */
export const GIVEN_ACCOUNTS = 'given-accounts';

/** The accounts that came with the page; undefined where they could not be read then. */
export function givenAccounts(): AccountInfo[] | undefined {
  const text = document.getElementById(GIVEN_ACCOUNTS)?.textContent;
  return text ? (JSON.parse(text) as AccountInfo[]) : undefined;
}

/** The account that a page is about: named in its address, else the last one used, else the first. */
export function chosenAccount(
  accounts: readonly AccountInfo[],
  named: string | null,
): AccountInfo | undefined {
  const wanted = named === null ? recall<number>('account', 0) : Number(named);
  return accounts.find(({ id }) => id === wanted) ?? (named === null ? accounts[0] : undefined);
}
