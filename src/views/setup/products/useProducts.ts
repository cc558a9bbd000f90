import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useTell } from '../../shared/useTell';
import type { ProductCosts } from '../../../core/economics';
import type { ProductInfo } from '../../../contract/api';
import { useUndo } from '../../shared/undo/useUndo';
import { takeOverData } from '../../shared/revision';
import { api } from '../../shared/api';

/** The products of an account with their costs; editing them. */
export function useProducts(account: number) {
  const client = useQueryClient();
  const tell = useTell();
  const undo = useUndo(account);
  const { data, error } = useQuery({ queryKey: ['products', account], queryFn: () => api.products(account) });
  const set = useMutation({
    mutationFn: ({ id, costs }: { id: number; costs: ProductCosts }) => api.setCosts(account, id, costs),
    onError: (fault: Error) => tell(fault.message, { kind: 'fault' }),
    onSettled: () => takeOverData(client, account),
  });
  const edit = ({ id, name, costs }: ProductInfo, change: Partial<ProductCosts>) =>
    set.mutate(
      { id, costs: { ...costs, ...change } },
      {
        onSuccess: () =>
          undo.did(
            { words: `costs of ${name} changed`, undoing: { kind: 'costs', productId: id, costs } },
            { isQuiet: true },
          ),
      },
    );
  return { data, error, edit };
}
