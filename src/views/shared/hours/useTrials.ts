import { useQuery } from '@tanstack/react-query';
import type { AccountInfo } from '../../../contract/api';
import { api } from '../api';

/** The account's trials by weeks, the newest first. */
export const useTrials = (account: AccountInfo) =>
  useQuery({
    queryKey: ['trials', account.id, account.revision],
    queryFn: () => api.trials(account.id),
  });
