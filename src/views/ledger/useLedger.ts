import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useTell } from '../shared/useTell';
import { useState } from 'react';
import type { Settling } from '../../contract/changes';
import { api } from '../shared/api';
import type { KeyLine } from '../shared/frame/KeysHelp';
import { useKeys } from '../shared/useKeys';
import { useUndo } from './useUndo';
import { useUrlState } from '../shared/urlState';

export type AnswerFilter = 'all' | 'accepted' | 'refused' | 'sending';

export const LEDGER_KEYS: KeyLine[] = [
  ['↑ ↓', 'bale'],
  ['w', 'which changes worked'],
  ['p', 'reports for paper'],
  ['r', 'show refused changes only, or all'],
];

/** What the ledger shows besides bales. */
export const LEDGER_VIEWS = ['worked', 'reports'] as const;
export type LedgerView = (typeof LEDGER_VIEWS)[number];

/** Bales of an account, the chosen one and its changes. */
export function useLedger(account: number | undefined) {
  const { values, set } = useUrlState();
  const client = useQueryClient();
  const tell = useTell();
  const [filter, setFilter] = useState<AnswerFilter>('all');
  const bales = useQuery({
    queryKey: ['bales', account],
    queryFn: () => api.bales(account!),
    enabled: account !== undefined,
    refetchInterval: (query) => (query.state.data?.some(({ state }) => state === 'sending') ? 3000 : false),
  });
  const list = bales.data ?? [];
  const wanted = Number(values.get('bale'));
  const bale = list.find(({ id }) => id === wanted) ?? list[0];
  const changes = useQuery({
    queryKey: ['changes', account, 'bale', bale?.id, bale?.accepted, bale?.refused],
    queryFn: () => api.changes(account!, { bale: bale!.id }),
    enabled: bale !== undefined,
  });
  const effects = useQuery({
    queryKey: ['bale-effects', account, bale?.id, bale?.accepted],
    queryFn: () => api.baleEffects(account!, bale!.id),
    enabled: bale !== undefined && bale.accepted > 0,
  });
  const refresh = () =>
    client.invalidateQueries({
      predicate: ({ queryKey }) => ['changes', 'bales'].includes(String(queryKey[0])),
    });
  const fail = (error: Error) => tell(error.message, { kind: 'fault' });
  const retry = useMutation({
    mutationFn: (id: number) => api.retryBale(account!, id),
    onSuccess: ({ trouble }) => trouble !== '' && tell(trouble, { kind: 'warning' }),
    onError: fail,
    onSettled: refresh,
  });
  const settle = useMutation({
    mutationFn: ({ id, as }: { id: number; as: Settling }) => api.settleBale(account!, id, as),
    onError: fail,
    onSettled: refresh,
  });
  const undo = useUndo(account, () => void refresh());
  const view = LEDGER_VIEWS.find((one) => one === values.get('view')) ?? null;
  const choose = (id: number) => set({ bale: String(id), view: null });
  const show = (next: LedgerView | null) => set({ view: next });
  const step = (by: number) => {
    const next = list[list.findIndex(({ id }) => id === bale?.id) + by];
    if (next) choose(next.id);
  };
  useKeys({
    arrowdown: () => step(1),
    arrowup: () => step(-1),
    w: () => show(view === 'worked' ? null : 'worked'),
    p: () => show(view === 'reports' ? null : 'reports'),
    r: () => setFilter(filter === 'refused' ? 'all' : 'refused'),
  });
  return {
    bales: list,
    bale,
    changes: (changes.data ?? []).filter(({ state }) => filter === 'all' || state === filter),
    all: changes.data ?? [],
    isLoading: bales.isLoading,
    error: bales.error ?? changes.error,
    filter,
    setFilter,
    choose,
    /** What is shown in place of a bale. */
    view,
    show,
    effects: effects.data,
    retry,
    settle,
    undo,
  };
}

export type LedgerState = ReturnType<typeof useLedger>;
