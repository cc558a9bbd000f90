import { useEffect, useRef, useState } from 'react';
import type { TargetTrial } from '../../../plans/bids';
import { api } from '../../shared/api';
import { useTell } from '../../shared/useTell';
import type { BidWork } from './useBidWork';

/** Between two questions: a long drag is no flood of them. */
const REST_MS = 60;

/**
 * What another target ACOS would do, while the cut line is dragged: the server is asked for the latest one alone, and what it
 * answers about an earlier one is not shown for it.
 */
export function useTrial({ loaded, settings }: BidWork, accountId: number | undefined) {
  const [wanted, setWanted] = useState<number | null>(null);
  const [answer, setAnswer] = useState<TargetTrial | null>(null);
  const tell = useTell();
  const isAsking = useRef(false);
  const latest = useRef<number | null>(null);
  const loadId = loaded?.loadId;
  useEffect(() => {
    setWanted(null);
    latest.current = null;
  }, [loadId]);
  const ask = async () => {
    if (isAsking.current || accountId === undefined) return;
    isAsking.current = true;
    try {
      for (let at = latest.current; at !== null;) {
        const told = await api.askBids(accountId, 'target', { settings, acos: at });
        setAnswer(told);
        await new Promise((resolve) => setTimeout(resolve, REST_MS));
        at = latest.current === at ? null : latest.current;
      }
    } catch (error) {
      latest.current = null;
      setWanted(null);
      tell((error as Error).message, { kind: 'fault' });
    } finally {
      isAsking.current = false;
    }
  };
  return {
    trial:
      wanted === null
        ? null
        : answer?.acos === wanted
          ? answer
          : ({ ...(answer ?? NOTHING_YET), acos: wanted, isStale: true } as TargetTrial & {
              isStale?: boolean;
            }),
    tryTarget: (acos: number | null) => {
      latest.current = acos;
      setWanted(acos);
      if (acos !== null) void ask();
    },
  };
}

export type Trial = NonNullable<ReturnType<typeof useTrial>['trial']>;

const NONE = { clicks: 0, spend: 0, sales: 0, profit: null };
const NOTHING_YET: Omit<TargetTrial, 'acos'> = { now: NONE, after: NONE, down: 0, up: 0 };
