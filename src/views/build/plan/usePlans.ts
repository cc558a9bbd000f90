import { useQuery } from '@tanstack/react-query';
import type { AccountInfo } from '../../../contract/api';
import { buildApi } from './buildApi';

/** The account's plans, and the products that one can be for. */
export const usePlans = (account: AccountInfo | undefined) =>
  useQuery({
    queryKey: ['build', account?.id, 'plans', account?.revision],
    queryFn: () => buildApi.plans(account!.id),
    enabled: account !== undefined,
    placeholderData: (before) => before,
  });
