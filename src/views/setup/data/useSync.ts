import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useTell } from '../../shared/useTell';
import { useEffect, useRef } from 'react';
import type { AccountInfo, JobInfo } from '../../../contract/api';
import { useNewData } from '../../shared/revision';
import { api } from '../../shared/api';

const isUnderWay = ({ state }: JobInfo) => state === 'waiting' || state === 'running';

/** How up to date an account is with its market, and asking for more. */
export function useSync(account: AccountInfo) {
  const client = useQueryClient();
  const tell = useTell();
  const { data, error } = useQuery({
    queryKey: ['sync', account.id],
    queryFn: () => api.sync(account.id),
    enabled: account.connected,
    refetchInterval: (query) => (query.state.data?.jobs.some(isUnderWay) ? 600 : 20_000),
  });
  const job = data?.jobs.find(isUnderWay) ?? null;
  const { takeOver } = useNewData(account);
  const wasRunning = useRef(false);
  useEffect(() => {
    // What a sync brought is everywhere.
    if (wasRunning.current && job === null) void takeOver();
    wasRunning.current = job !== null;
  }, [job, takeOver]);
  const fail = (fault: Error) => tell(fault.message, { kind: 'fault' });
  const refresh = () => client.invalidateQueries({ queryKey: ['sync', account.id] });
  const start = useMutation({
    mutationFn: () => api.startSync(account.id),
    onError: fail,
    onSettled: refresh,
  });
  const advance = useMutation({
    mutationFn: (days: number) => api.advance(account.id, days),
    onError: fail,
    onSettled: refresh,
  });
  const cancel = useMutation({
    mutationFn: (id: number) => api.cancelJob(account.id, id),
    onError: fail,
    onSettled: refresh,
  });
  return {
    data,
    error,
    job,
    start: () => start.mutate(),
    advance: (days: number) => advance.mutate(days),
    cancel: (id: number) => cancel.mutate(id),
  };
}

export type SyncState = ReturnType<typeof useSync>;
