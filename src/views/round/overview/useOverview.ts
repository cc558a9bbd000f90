import { useQuery } from '@tanstack/react-query';
import { api } from '../../shared/api';
import type { DataVersion } from '../../shared/fieldEngine/dataVersion';
import { pageEngine } from '../../shared/fieldEngine/pageEngine';

/** What the overview is made of: the account's days from the server, its parts from the worker. */
export function useOverview(
  account: number | undefined,
  version: DataVersion,
  from: string | null,
  to: string | null,
) {
  const span = [from ?? undefined, to ?? undefined] as const;
  const whole = useQuery({
    queryKey: ['overview', account, version.revision, from, to],
    queryFn: () => api.overview(account!, ...span),
    enabled: account !== undefined,
  });
  const parts = useQuery({
    queryKey: ['overview-parts', account, version, from, to],
    queryFn: () => pageEngine().overview(account!, version, ...span),
    enabled: account !== undefined,
    staleTime: Infinity,
  });
  return { whole: whole.data, parts: parts.data, error: whole.error ?? parts.error };
}
