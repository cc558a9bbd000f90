import { useQuery } from '@tanstack/react-query';
import type { AskedWindow } from '../../../contract/requests';
import { api } from '../../shared/api';
import type { DataVersion } from '../../shared/fieldEngine/dataVersion';
import { pageEngine } from '../../shared/fieldEngine/pageEngine';

/** What the overview is made of: the account's days from the server, its parts from the worker. */
export function useOverview(account: number | undefined, version: DataVersion, asked: AskedWindow) {
  const whole = useQuery({
    queryKey: ['overview', account, version.revision, asked],
    queryFn: () => api.overview(account!, asked),
    enabled: account !== undefined,
  });
  const parts = useQuery({
    queryKey: ['overview-parts', account, version, asked],
    queryFn: () => pageEngine().overview(account!, version, asked),
    enabled: account !== undefined,
    staleTime: Infinity,
  });
  return { whole: whole.data, parts: parts.data, error: whole.error ?? parts.error };
}
