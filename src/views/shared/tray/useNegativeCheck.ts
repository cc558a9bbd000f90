import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { blockOf } from '../../../core/changes';
import type { ChangeInfo } from '../../../contract/changes';
import type { BlockedAnswer } from '../wordsEngine/types';
import { pageWords } from '../wordsEngine/pageWords';
import { useWords } from '../wordsEngine/useWords';

/** A staged negative that would have cost something in the last 90 days. */
export interface CostlyNegative extends BlockedAnswer {
  change: ChangeInfo;
}

/**
 * Holds staged negatives against the past: those that would have blocked sales, or a live target, have to be confirmed before they are sent. What
 * goes with a harvest moves its term and is left out.
 */
export function useNegativeCheck(account: AccountInfo | undefined, changes: readonly ChangeInfo[]) {
  const asked = changes.filter(({ change, afterId }) => blockOf(change) !== null && afterId === null);
  const ids = asked.map(({ id }) => id);
  const { loaded, error, onGone } = useWords(account, asked.length > 0);
  const [confirmed, setConfirmed] = useState<ReadonlySet<number>>(new Set());
  const { data, error: fault } = useQuery({
    queryKey: ['blocked-by', loaded?.loadId, ids],
    queryFn: async () => {
      const negatives = asked.flatMap(({ change }) => blockOf(change) ?? []);
      const blocks = await pageWords().blocks(loaded!.loadId, negatives);
      // The worker has another load by now: asked again, never taken for "nothing is blocked".
      if (blocks === null) {
        onGone();
        throw new Error('The search terms changed while the negatives were checked.');
      }
      return blocks;
    },
    enabled: loaded !== undefined && asked.length > 0,
    staleTime: Infinity,
  });
  const costly = asked.flatMap((change, at): CostlyNegative[] => {
    const answer = data?.[at];
    return answer && (answer.sums.orders > 0 || answer.targets.length > 0) ? [{ change, ...answer }] : [];
  });
  return {
    costly: costly.filter(({ change }) => !confirmed.has(change.id)),
    /** The past is not read yet. */
    isChecking:
      asked.length > 0 && account?.lastDay != null && data === undefined && error === null && fault === null,
    /** Why they could not be checked; null when they were. */
    fault: asked.length > 0 ? (error ?? fault) : null,
    confirm: (list: readonly CostlyNegative[]) =>
      setConfirmed(new Set([...confirmed, ...list.map(({ change }) => change.id)])),
  };
}

export type NegativeChecked = ReturnType<typeof useNegativeCheck>;
