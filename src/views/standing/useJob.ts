import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { AccountInfo, JobInfo } from '../../contract/api';
import { api } from '../shared/api';

const isUnderWay = ({ state }: JobInfo) => state === 'waiting' || state === 'running';

/** A job that was asked for on this page: how far it is, and its end. @param onEnd told what became of it, once */
export function useJob(account: AccountInfo | undefined, onEnd: (job: JobInfo) => Promise<void>) {
  const [jobId, setJobId] = useState<number | null>(null);
  const { data: job } = useQuery({
    queryKey: ['own-job', account?.id, jobId],
    queryFn: async () => {
      const { jobs } = await api.sync(account!.id);
      const own = jobs.find(({ id }) => id === jobId) ?? null;
      if (own && !isUnderWay(own)) {
        setJobId(null);
        await onEnd(own);
      }
      return own;
    },
    enabled: account !== undefined && jobId !== null,
    refetchInterval: 700,
  });
  return {
    isUnderWay: jobId !== null,
    /** 0 to 1; null while it waits, or nobody can tell. */
    share: job?.state === 'running' && job.total > 0 ? job.done / job.total : null,
    follow: setJobId,
    cancel: () => jobId !== null && void api.cancelJob(account!.id, jobId),
  };
}
