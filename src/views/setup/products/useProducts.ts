import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import { useTell } from '../../shared/useTell';
import type { ProductCosts } from '../../../core/economics';
import type { ProductInfo } from '../../../contract/api';
import { inTurn } from '../../shared/inTurn';
import { useUndo } from '../../shared/undo/useUndo';
import { takeOverData } from '../../shared/revision';
import { api } from '../../shared/api';

/** The products of an account with their costs; editing them. */
export function useProducts(account: number) {
  const client = useQueryClient();
  const tell = useTell();
  const undo = useUndo(account);
  const underWay = useRef(new Map<number, ProductCosts>());
  const { data, error } = useQuery({ queryKey: ['products', account], queryFn: () => api.products(account) });
  const set = useMutation({
    mutationFn: ({ id, costs }: { id: number; costs: ProductCosts }) =>
      inTurn(`costs ${account}`, () => api.setCosts(account, id, costs)),
    onError: (fault: Error) => tell(fault.message, { kind: 'fault' }),
    onSettled: async (_, __, { id, costs }) => {
      await takeOverData(client, account);
      if (underWay.current.get(id) === costs) underWay.current.delete(id);
    },
  });
  const edit = ({ id, name, ...product }: ProductInfo, change: Partial<ProductCosts>) => {
    // The next edit may come before the answer to this one: it starts from this one, and takes nothing back.
    const costs = underWay.current.get(id) ?? product.costs;
    const next = { ...costs, ...change };
    underWay.current.set(id, next);
    set.mutate(
      { id, costs: next },
      {
        onSuccess: () =>
          undo.did(
            { words: `costs of ${name} changed`, undoing: { kind: 'costs', productId: id, costs } },
            { isQuiet: true },
          ),
      },
    );
  };
  return { data, error, edit };
}
