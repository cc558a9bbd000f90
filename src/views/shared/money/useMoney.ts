import { useQuery } from '@tanstack/react-query';
import type { AccountInfo } from '../../../contract/api';
import { api } from '../api';

/** What is to be looked after in an account's money; asked for anew with its data. */
export const useMoney = (account: AccountInfo | undefined) =>
  useQuery({
    queryKey: ['money', account?.id, account?.revision, account?.funds, account?.choices.money],
    queryFn: () => api.money(account!.id),
    enabled: account !== undefined,
    staleTime: 60_000,
    retry: false,
  });
