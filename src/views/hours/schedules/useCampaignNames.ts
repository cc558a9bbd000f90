import { useQuery } from '@tanstack/react-query';
import type { AccountInfo } from '../../../contract/api';
import { api } from '../../shared/api';

/** Names of the account's campaigns by id. */
export function useCampaignNames(account: AccountInfo): (id: number) => string {
  const { data } = useQuery({ queryKey: ['goals', account.id], queryFn: () => api.goals(account.id) });
  const names = new Map(
    (data?.scopes ?? []).filter(({ scope }) => scope === 'campaign').map(({ id, name }) => [id, name]),
  );
  return (id) => names.get(id) ?? `campaign ${id}`;
}
