import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useTell } from '../../shared/useTell';
import type { NegativeListInfo, NegativeListRequest } from '../../../contract/words';
import { api } from '../../shared/api';
import { useUrlState } from '../../shared/urlState';

type Kept = NegativeListRequest['list'];

/** The named lists of an account, the one that is looked at, and what can be done with them. @param version changes when the tray does */
export function useNegativeLists(account: number, version: number) {
  const client = useQueryClient();
  const tell = useTell();
  const { values, set } = useUrlState();
  const [ahead, setAhead] = useState<Kept | null>(null);
  const key = ['negative-lists', account];
  const asked = useQuery({
    queryKey: [...key, version],
    queryFn: () => api.negativeLists(account),
    placeholderData: keepPreviousData,
  });
  const campaigns = useQuery({
    queryKey: ['tree', account, 'none'],
    queryFn: () => api.tree(account, 'none'),
    staleTime: Infinity,
    select: (tree) => tree.campaigns.filter(({ state }) => state === 'enabled' || state === 'paused'),
  });
  const onError = (error: Error) => tell(error.message, { kind: 'fault' });
  const refresh = () => client.invalidateQueries({ queryKey: key });
  const keep = useMutation({
    mutationFn: (list: Kept) => api.keepNegativeList({ account, list }),
    onSuccess: ({ id }) => set({ list: String(id) }),
    onError,
    onSettled: async (_, __, list) => {
      await refresh();
      setAhead((old) => (old === list ? null : old));
    },
  });
  const remove = useMutation({
    mutationFn: (id: number) => api.removeNegativeList(account, id),
    onError,
    onSettled: refresh,
  });
  // What was just changed shows at once, and goes back where it is refused; where it holds is told by the answer.
  const lists = (asked.data?.lists ?? []).map((list) =>
    ahead && ahead.id === list.id ? changedList(list, ahead) : list,
  );
  return {
    lists,
    list: lists.find(({ id }) => String(id) === values.get('list')) ?? lists[0],
    campaigns: campaigns.data ?? [],
    isLoading: asked.isLoading || campaigns.isLoading,
    error: asked.error ?? campaigns.error,
    choose: (id: number) => set({ list: String(id) }),
    keep: (list: Kept) => {
      setAhead(list);
      keep.mutate(list);
    },
    remove: (list: Kept & { id: number }) => {
      remove.mutate(list.id);
      tell(`“${list.name}” is removed; its negatives stay in place.`);
    },
  };
}

function changedList(list: NegativeListInfo, kept: Kept): NegativeListInfo {
  const heldBy = new Map(list.campaignIds.map((id, at) => [id, list.heldByCampaign[at]]));
  const heldOf = new Map(
    list.terms.map(({ match, expression }, at) => [`${match} ${expression}`, list.heldByTerm[at]]),
  );
  return {
    ...list,
    ...kept,
    id: list.id,
    heldByCampaign: kept.campaignIds.map((id) => heldBy.get(id) ?? 0),
    heldByTerm: kept.terms.map(({ match, expression }) => heldOf.get(`${match} ${expression}`) ?? 0),
  };
}
