import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import type { RuleInfo } from '../../../contract/rules';
import { standingApi } from '../standingApi';
import { useJob } from '../useJob';

/** What is played first: eight weeks of four markets. */
export const FIRST_PLAY = { weeks: 8, markets: 4 };

/** Playing a rule on markets like what it works in: a job, whose progress is told, and what it came to. */
export function usePlay(account: AccountInfo, { id, canPlay }: RuleInfo) {
  const client = useQueryClient();
  const [error, setError] = useState<Error | null>(null);
  const { data } = useQuery({
    queryKey: ['played', account.id, id],
    queryFn: () => standingApi.played(account.id, id),
    enabled: canPlay,
  });
  const job = useJob(account, async ({ state, message }) => {
    if (state === 'failed') setError(new Error(message));
    await client.invalidateQueries({
      predicate: ({ queryKey }) => ['played', 'rules', 'growth'].includes(String(queryKey[0])),
    });
  });
  const play = async (weeks: number, markets: number) => {
    if (job.isUnderWay) return;
    setError(null);
    try {
      job.follow((await standingApi.play({ account: account.id, id, weeks, markets })).jobId);
    } catch (fault) {
      setError(fault as Error);
    }
  };
  const { isUnderWay: isPlaying, share, cancel } = job;
  return { played: data?.played ?? null, isPlaying, share, error, play, cancel };
}

export type PlayState = ReturnType<typeof usePlay>;
