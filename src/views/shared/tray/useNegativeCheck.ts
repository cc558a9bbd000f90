import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { blockOf } from '../../../core/changes';
import type { ChangeInfo } from '../../../contract/changes';
import type { BlockedAnswer } from '../../../plans/words';
import { api } from '../api';
import { wordsState } from '../askWords/wordsLoad';

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
  const [confirmed, setConfirmed] = useState<ReadonlySet<number>>(new Set());
  const { data, error } = useQuery({
    queryKey: ['blocked-by', ...wordsState(account), ids],
    queryFn: () =>
      api.askWords(account!.id, 'blocks', {
        negatives: asked.flatMap(({ change }) => blockOf(change) ?? []),
      }),
    enabled: account?.lastDay != null && asked.length > 0,
    staleTime: Infinity,
  });
  const costly = asked.flatMap((change, at): CostlyNegative[] => {
    const answer = data?.blocks[at];
    return answer && (answer.sums.orders > 0 || answer.targets.length > 0) ? [{ change, ...answer }] : [];
  });
  return {
    costly: costly.filter(({ change }) => !confirmed.has(change.id)),
    /** The past is not read yet. */
    isChecking: asked.length > 0 && account?.lastDay != null && data === undefined && error === null,
    /** Why they could not be checked; null when they were. */
    fault: asked.length > 0 ? error : null,
    confirm: (list: readonly CostlyNegative[]) =>
      setConfirmed(new Set([...confirmed, ...list.map(({ change }) => change.id)])),
  };
}

export type NegativeChecked = ReturnType<typeof useNegativeCheck>;
