import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api } from '../../shared/api';

interface Pinning {
  productId: number;
  term: string;
  isPinned: boolean;
}

/** Terms pinned to the core lists of an account's products. */
export function usePinned(account: number) {
  const client = useQueryClient();
  const { data, error } = useQuery({
    queryKey: ['pinned-terms', account],
    queryFn: () => api.pinnedTerms(account),
  });
  const change = useMutation({
    mutationFn: async ({ productId, term, isPinned }: Pinning) => {
      if (isPinned) await api.pinTerm(account, productId, term);
      else await api.unpinTerm(account, productId, term);
    },
    onSettled: () => client.invalidateQueries({ queryKey: ['pinned-terms', account] }),
  });
  return {
    pinned: data?.pinned ?? [],
    error: error ?? change.error,
    pin: (productId: number, term: string) => change.mutate({ productId, term, isPinned: true }),
    unpin: (productId: number, term: string) => change.mutate({ productId, term, isPinned: false }),
  };
}
