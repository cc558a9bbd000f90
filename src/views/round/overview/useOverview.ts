import { useQuery } from '@tanstack/react-query';
import type { AccountInfo } from '../../../contract/api';
import type { AskedWindow } from '../../../contract/requests';
import { api } from '../../shared/api';
import { useWorkerLoad } from '../../shared/worker/useWorkerLoad';
import { partsLoad } from './partsLoad';

/** What the overview is made of: the account's days from the server, its parts from the worker. */
export function useOverview(account: AccountInfo | undefined, asked: AskedWindow) {
  const whole = useQuery({
    queryKey: ['overview', account?.id, account?.revision, asked],
    queryFn: () => api.overview(account!.id, asked),
    enabled: account !== undefined,
  });
  const parts = useWorkerLoad(partsLoad(account, asked), account !== undefined);
  return { whole: whole.data, parts: parts.data, error: whole.error ?? parts.error };
}
