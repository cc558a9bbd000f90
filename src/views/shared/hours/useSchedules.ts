import { useQuery } from '@tanstack/react-query';
import type { AccountInfo } from '../../../contract/api';
import { api } from '../api';

/** The account's schedules, and what its hours propose; loaded once for all that shows them. */
export const useSchedules = (account: AccountInfo | undefined) =>
  useQuery({
    queryKey: ['schedules', account?.id, account?.revision],
    queryFn: () => api.schedules(account!.id),
    enabled: account !== undefined,
    placeholderData: (before, query) => (query?.queryKey[1] === account?.id ? before : undefined),
  });
