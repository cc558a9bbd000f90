import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { HandStep } from '../../../core/changes';
import { daysIn } from '../../../core/units';
import type { AccountInfo } from '../../../contract/api';
import { api } from '../../shared/api';
import type { LoadedLens } from '../../../plans/field';
import { planMove, planState } from '../../../plans/byHand';
import type { Staged } from '../../../plans/byHand';
import { roundSettings } from '../../../plans/bids';

/** Suggestions are asked for so many targets at most. */
const MOST_SUGGESTED = 5000;

interface Asked {
  account: AccountInfo;
  loaded: LoadedLens;
  chosen: number[];
  staged: Staged;
  /** Null where the rows have nothing to set, or what was typed is no number. */
  step: HandStep | null;
  againToo: boolean;
}

/** What a move by hand of the chosen rows comes to; asks the market or the engine for bids where the step needs them. */
export function useHandPlan({ account, loaded, chosen, staged, step, againToo }: Asked) {
  const { table, window } = loaded;
  const days = daysIn(window.from, window.to);
  const ids = useMemo(() => chosen.map((row) => table.targetId[row]), [table, chosen]);
  const few = ids.slice(0, MOST_SUGGESTED);
  const suggestions = useQuery({
    queryKey: ['suggestions', account.id, few],
    queryFn: () => api.suggestBids(account.id, few),
    enabled: step?.kind === 'suggested' && few.length > 0,
    staleTime: 60_000,
  });
  const wanted = useQuery({
    queryKey: ['wanted-bids', account.id, account.choices.bids, ids],
    queryFn: () =>
      api.askBids(account.id, 'wanted', {
        settings: roundSettings(account.choices, account.limits),
        targetIds: ids,
      }),
    enabled: step?.kind === 'wanted' && ids.length > 0,
    staleTime: 60_000,
  });
  const key = JSON.stringify(step);
  const plan = useMemo(() => {
    if (!step || chosen.length === 0) return null;
    const suggested = byTarget(
      few,
      suggestions.data?.bids.map((one) => one?.bid ?? null),
    );
    return planMove(table, chosen, step, {
      limits: account.limits,
      staged,
      suggested,
      wanted: byTarget(ids, wanted.data?.bids),
      days,
      againToo,
    });
    // oxlint-disable-next-line react-hooks/exhaustive-deps -- ids, few and step are made of what is listed
  }, [table, chosen, key, staged, againToo, suggestions.data, wanted.data, account.limits, days]);
  const pausing = useMemo(
    () => planState(table, chosen, 'paused', staged, days),
    [table, chosen, staged, days],
  );
  const resuming = useMemo(
    () => planState(table, chosen, 'enabled', staged, days),
    [table, chosen, staged, days],
  );
  return {
    plan,
    pausing,
    resuming,
    asking: suggestions.isFetching
      ? 'Asking the market …'
      : wanted.isFetching
        ? 'Working out the bids …'
        : '',
    error: suggestions.error ?? wanted.error,
  };
}

function byTarget(ids: readonly number[], bids: readonly (number | null)[] | undefined): Map<number, number> {
  return new Map((bids ?? []).flatMap((bid, at) => (bid === null ? [] : [[ids[at], bid] as const])));
}
