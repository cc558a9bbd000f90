import { useQuery } from '@tanstack/react-query';
import type { AccountInfo } from '../../../contract/api';
import { api } from '../api';
import { queryKeys } from '../queryKeys';

/** The rules that work on an account by night. */
export const useRulesOf = (account: AccountInfo | undefined) =>
  useQuery({
    queryKey: account ? queryKeys.rules(account) : ['rules'],
    queryFn: () => api.rules(account!.id),
    enabled: account !== undefined,
    placeholderData: (before) => before,
  });
