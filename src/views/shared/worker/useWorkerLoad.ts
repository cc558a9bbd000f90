import { useQuery } from '@tanstack/react-query';
import { loaded, loadedAhead } from './workerLoad';
import type { WorkerLoad } from './workerLoad';

/** A load that no place shows is remembered for so long, ms. */
const KEPT_MS = 15 * 60_000;

/**
 * What a worker loads and keeps. A load that the worker has let go since is asked for anew by `onGone`, which is for those who ask
 * the worker about it.
 */
export function useWorkerLoad<T>(load: WorkerLoad<T>, isWanted: boolean) {
  const { data, error, isFetching, refetch } = useQuery<T, Error>({
    queryKey: load.key,
    queryFn: () => loaded(load),
    initialData: () => loadedAhead(load),
    enabled: isWanted,
    staleTime: Infinity,
    gcTime: KEPT_MS,
    meta: { inWorker: true },
    refetchOnWindowFocus: false,
  });
  return { data, error, isFetching, onGone: () => void refetch({ cancelRefetch: false }) };
}
