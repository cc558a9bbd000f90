import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo, useRef, useState, useSyncExternalStore } from 'react';
import type { AccountInfo } from '../../../contract/api';
import type { Aside } from '../../../contract/aside';
import { api } from '../../shared/api';
import type { TrayState } from '../../shared/tray/useTray';
import { queryKeys } from '../../shared/queryKeys';
import { useUndo } from '../../shared/undo/useUndo';
import { useTell } from '../../shared/useTell';
import { DecisionStore } from './decisionStore';
import type { Acceptance, AsideMore, DecisionPorts } from './decisionStore';

interface Queue {
  /** Under which name its rows are put aside. */
  name: string;
  /** What one row is called. */
  noun: string;
}

const NOTHING: Aside[] = [];

/** Accept, leave, later, accepted loss, edit: what the specialist decides on the rows of a queue. */
export function useDecisions<E>(account: AccountInfo | undefined, { name, noun }: Queue, tray: TrayState) {
  const tell = useTell();
  const undo = useUndo(account?.id);
  const client = useQueryClient();
  const key = useMemo(() => queryKeys.aside(account?.id), [account?.id]);
  const { data } = useQuery({
    queryKey: key,
    queryFn: () => api.aside(account!.id),
    enabled: account !== undefined,
  });
  const ports = useRef<DecisionPorts>(null!);
  ports.current = {
    noun,
    tell: (sentence, kind) => tell(sentence, { kind }),
    stage: async (changes) => (await tray.stage.mutateAsync(changes)).ids,
    did: (one) => undo.did(one),
    during: undo.during,
    queue: name,
    putAside: async (subjects, verdict, more) => {
      const { until } = await api.putAside({
        account: account!.id,
        queue: name,
        subjects,
        verdict,
        ...more,
      });
      await client.invalidateQueries({ queryKey: key });
      if (verdict === 'accepted-loss') await client.invalidateQueries({ queryKey: ['notes'] });
      return until;
    },
  };
  const [store] = useState(() => new DecisionStore<E>(() => ports.current));
  const state = useSyncExternalStore(store.subscribe, store.snapshot);
  const kept = data?.aside ?? NOTHING;
  const aside = useMemo(() => {
    const own = new Map(kept.filter((one) => one.queue === name).map((one) => [one.subject, one]));
    for (const [subject, one] of state.ahead)
      if (one) own.set(subject, { queue: name, ...one });
      else own.delete(subject);
    return own;
  }, [kept, name, state.ahead]);
  // The same while nothing is decided: rows and evidence are drawn from it.
  return useMemo(
    () => ({
      ...state,
      /** What is put aside in this queue, by subject. */
      aside,
      edit: (subject: string, edit: E | null) => store.edit(subject, edit),
      accept: (list: readonly Acceptance[]) => store.accept(list),
      put: (subjects: readonly string[], verdict: Aside['verdict'], more?: AsideMore) =>
        store.put(subjects, verdict, more),
      takeBack: (subjects: readonly string[]) => store.takeBack(subjects),
    }),
    [state, aside, store],
  );
}

export type Decisions<E> = ReturnType<typeof useDecisions<E>>;
