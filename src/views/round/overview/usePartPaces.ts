import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { AccountInfo } from '../../../contract/api';
import type { PlannedPart, SpendPlan } from '../../../contract/money';
import { api } from '../../shared/api';
import { useTell } from '../../shared/useTell';

const NONE: readonly PlannedPart[] = [];

/** How parts of the account stand to what they may spend, and what sets and drops their plans. */
export function usePartPaces(account: AccountInfo) {
  const client = useQueryClient();
  const tell = useTell();
  const { data, error } = useQuery({
    queryKey: ['pace', account.id, account.revision],
    queryFn: () => api.pace(account.id),
  });
  const after = () =>
    Promise.all(['pace', 'money'].map((name) => client.invalidateQueries({ queryKey: [name, account.id] })));
  const keep = useMutation({
    mutationFn: (plan: SpendPlan) => api.planSpend(account.id, plan),
    onSuccess: after,
  });
  const drop = useMutation({
    mutationFn: (plan: SpendPlan) => api.dropSpendPlan(account.id, plan),
    onSuccess: (_, plan) => {
      tell('The plan is dropped.', { onUndo: () => keep.mutate(plan), key: 'part plan' });
      return after();
    },
  });
  return {
    parts: data?.parts ?? NONE,
    error: error ?? keep.error ?? drop.error,
    set: (plan: SpendPlan) => keep.mutate(plan),
    drop: (plan: SpendPlan) => drop.mutate(plan),
  };
}
