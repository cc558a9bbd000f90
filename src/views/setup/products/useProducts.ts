import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useTell } from '../../shared/useTell';
import { useRef } from 'react';
import type { ProductCosts } from '../../../core/economics';
import type { ProductInfo } from '../../../contract/api';
import { api } from '../../shared/api';

/** The products of an account with their costs; editing them, and taking an edit back. */
export function useProducts(account: number) {
  const client = useQueryClient();
  const tell = useTell();
  const done = useRef<{ id: number; costs: ProductCosts }[]>([]);
  const { data, error } = useQuery({ queryKey: ['products', account], queryFn: () => api.products(account) });
  const set = useMutation({
    mutationFn: ({ id, costs }: { id: number; costs: ProductCosts }) => api.setCosts(account, id, costs),
    onError: (fault: Error) => tell(fault.message, { kind: 'fault' }),
    onSettled: () => client.invalidateQueries({ queryKey: ['products', account] }),
  });
  const edit = ({ id, costs }: ProductInfo, change: Partial<ProductCosts>) => {
    done.current.push({ id, costs });
    set.mutate({ id, costs: { ...costs, ...change } });
  };
  const undo = () => {
    const last = done.current.pop();
    if (last) set.mutate(last);
    else tell('Nothing to undo on this page.');
  };
  return { data, error, edit, undo };
}
