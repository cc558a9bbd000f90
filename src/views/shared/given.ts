import type { QueryClient } from '@tanstack/react-query';
import type { AccountInfo } from '../../contract/api';
import type { Given } from '../../contract/given';
import { queryKeys } from './queryKeys';
import { recall } from './remembered';
import { mayBeLate } from './unanswered';

/** Where a page carries what comes with it, as JSON. */
export const GIVEN = 'given';

/** What came with the page; undefined where it could not be read then, or before something that was sent had arrived. */
export function given(): Given | undefined {
  if (mayBeLate()) return undefined;
  const text = document.getElementById(GIVEN)?.textContent;
  return text ? (JSON.parse(text) as Given) : undefined;
}

/** Keeps what came with the page as if it had been asked for. @param values of the page's address */
export function keepGiven(client: QueryClient, values: URLSearchParams): void {
  const all = given();
  if (!all) return;
  client.setQueryData(queryKeys.accounts, all.accounts);
  client.setQueryData(queryKeys.me, all.me);
  const account = all.accounts.find(({ id }) => id === all.of?.account);
  if (!all.of || !account) return;
  const { revision, rules, staged, sending, aside, window } = all.of;
  client.setQueryData(queryKeys.revision(account.id), revision);
  client.setQueryData(queryKeys.rules(account), rules);
  if (aside) client.setQueryData(queryKeys.aside(account.id), aside);
  if (window) client.setQueryData(queryKeys.window(account, values.get('from'), values.get('to')), window);
  if (staged) client.setQueryData(queryKeys.changes(account.id, 'staged'), staged);
  if (sending) client.setQueryData(queryKeys.changes(account.id, 'sending'), sending);
}

/** The account that a page is about: named in its address, else the last one used, else the first. */
export function chosenAccount(
  accounts: readonly AccountInfo[],
  named: string | null,
): AccountInfo | undefined {
  const wanted = named === null ? recall<number>('account', 0) : Number(named);
  return accounts.find(({ id }) => id === wanted) ?? (named === null ? accounts[0] : undefined);
}
