import { useQuery } from '@tanstack/react-query';
import type { AccountInfo } from '../../../contract/api';
import { api } from '../api';

export const rulesKey = (account: AccountInfo) => ['rules', account.id, account.revision];

/** The rules that work on an account by night. */
export const useRulesOf = (account: AccountInfo | undefined) =>
  useQuery({
    queryKey: account ? rulesKey(account) : ['rules'],
    queryFn: () => api.rules(account!.id),
    enabled: account !== undefined,
    placeholderData: (before) => before,
  });
