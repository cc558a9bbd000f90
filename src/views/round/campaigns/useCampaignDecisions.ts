import { useMemo } from 'react';
import { campaignSubject, idsOfSubject } from '../../../contract/aside';
import type { AccountInfo } from '../../../contract/api';
import type { ChangeInfo } from '../../../contract/changes';
import type { TrayState } from '../../shared/tray/useTray';
import { useDecisions } from '../decisions/useDecisions';
import type { Decisions } from '../decisions/useDecisions';

const idOf = (subject: string) => idsOfSubject(subject)[0];

/**
 * What is decided on campaigns in a step, by their ids.
 * @param stagedOf campaigns that have a change of the step's kind in the tray or under way; the same function at each call
 */
export function useCampaignDecisions<E>(
  account: AccountInfo | undefined,
  queue: string,
  tray: TrayState,
  stagedOf: (pending: readonly ChangeInfo[]) => number[],
) {
  const decisions = useDecisions<E>(account, { name: queue, noun: 'campaign' }, tray);
  const staged = useMemo(
    () => stagedOf([...tray.changes, ...tray.sending]),
    [tray.changes, tray.sending, stagedOf],
  );
  return useMemo(() => byCampaign(decisions, staged), [decisions, staged]);
}

/** The same, by campaigns instead of subjects. */
function byCampaign<E>(decisions: Decisions<E>, staged: number[]) {
  const { aside, edits, underWay } = decisions;
  return {
    ...decisions,
    edits: new Map([...edits].map(([subject, one]) => [idOf(subject), one])),
    edit: (id: number, edit: E | null) => decisions.edit(campaignSubject(id), edit),
    asideOf: (id: number) => aside.get(campaignSubject(id)),
    asideIds: [...aside.keys()].map(idOf),
    stagedIds: [...staged, ...underWay.map(idOf)],
    put: (ids: readonly number[], verdict: 'left' | 'later', more?: { until?: string }) =>
      decisions.put(ids.map(campaignSubject), verdict, more),
    takeBack: (ids: readonly number[]) => decisions.takeBack(ids.map(campaignSubject)),
  };
}

/** The same ids are the same request, whatever they were decided in. */
export const inOrder = (ids: readonly number[]): number[] => [...new Set(ids)].sort((a, b) => a - b);
