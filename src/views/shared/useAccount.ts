import { useEffect, useMemo } from 'react';
import { useQuery } from '@tanstack/react-query';
import type { AccountInfo } from '../../contract/api';
import { RIGHTS } from '../../contract/people';
import { api } from './api';
import { chosenAccount } from './given';
import { queryKeys } from './queryKeys';
import { useShownAccount } from './revision';
import { remember } from './remembered';

/** The accounts, and the one that the page is about: named in its address, else the last one used, else the first. */
export function useAccount(named: string | null): {
  accounts: AccountInfo[];
  account: AccountInfo | undefined;
  error: Error | null;
} {
  const { data, error } = useQuery({ queryKey: queryKeys.accounts, queryFn: api.accounts });
  const accounts = data ?? [];
  const found = chosenAccount(accounts, named);
  const account = useShownAccount(found);
  const id = account?.id;
  useEffect(() => {
    if (id !== undefined) remember('account', id);
  }, [id]);
  useHidden(account);
  const isMissing = data !== undefined && named !== null && !found;
  const missing = useMemo(
    () =>
      isMissing
        ? new Error(`There is no account ${named}. The link may be old; choose one in the top bar.`)
        : null,
    [isMissing, named],
  );
  return { accounts, account, error: error ?? missing };
}

/** What takes a right that somebody has not on the account (`data-may` on it) is not shown to her; see theme/rights.css. */
function useHidden(account: AccountInfo | undefined): void {
  const lacks = account ? RIGHTS.filter((right) => !account.rights.includes(right)) : [];
  const words = lacks.map((right) => right.replace(' ', '-')).join(' ');
  useEffect(() => {
    document.documentElement.dataset.lacks = words;
  }, [words]);
}
