import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { idsOfSubject, BID_QUEUE } from '../../contract/aside';
import type { AccountInfo } from '../../contract/api';
import { USUAL_LIMITS } from '../../core/changes';
import { aheadOf, pendingTargets, roundSettings } from '../../plans/bids';
import { api } from '../shared/api';
import { dataVersion } from '../shared/fieldEngine/dataVersion';
import { pageEngine } from '../shared/fieldEngine/pageEngine';

/** How many bids would be changed in each account, as they are worked out: null where that failed, nothing yet where it is to come. */
export function useProposals(): ReadonlyMap<number, number | null> {
  const { data: accounts } = useQuery({ queryKey: ['accounts'], queryFn: api.accounts });
  const [found, setFound] = useState<ReadonlyMap<number, number | null>>(new Map());
  useEffect(() => {
    let isLeft = false;
    const count = async () => {
      for (const account of accounts ?? []) {
        if (isLeft) return;
        if (account.lastDay === null) continue;
        const left = await proposalsOf(account).catch(() => null);
        setFound((known) => new Map(known).set(account.id, left));
      }
    };
    void count();
    return () => {
      isLeft = true;
    };
  }, [accounts]);
  return found;
}

/** Bids that its steps would propose, as the round does: without what is staged or put aside. */
async function proposalsOf(account: AccountInfo): Promise<number> {
  const engine = pageEngine();
  const [{ loadId }, { aside }, staged, sending] = await Promise.all([
    engine.loadBids(account.id, dataVersion(account)),
    api.aside(account.id),
    api.changes(account.id, { state: 'staged' }),
    api.changes(account.id, { state: 'sending' }),
  ]);
  const pending = [...staged, ...sending];
  const settings = roundSettings(account.choices, account.limits ?? USUAL_LIMITS, aheadOf(pending));
  const arranged = await engine.arrangeBids(loadId, {
    step: 'dead',
    show: 'proposed',
    settings,
    conditions: [],
    sort: null,
    staged: [...pendingTargets(pending).keys()],
    aside: aside.filter(({ queue }) => queue === BID_QUEUE).map(({ subject }) => idsOfSubject(subject)[0]),
  });
  return (arranged?.steps ?? []).reduce((sum, { left }) => sum + left, 0);
}
