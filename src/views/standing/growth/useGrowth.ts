import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { AccountInfo } from '../../../contract/api';
import type { GrowthInfo, Stage } from '../../../contract/growth';
import { api } from '../../shared/api';
import { useUndo } from '../../shared/undo/useUndo';
import { useTell } from '../../shared/useTell';
import { standingApi } from '../standingApi';

/** An account's growth plans, and the beginning of one. */
export function useGrowthPlans(account: AccountInfo | undefined) {
  const client = useQueryClient();
  const tell = useTell();
  const undo = useUndo(account?.id);
  const { data, error } = useQuery({
    queryKey: ['growth', account?.id, account?.revision],
    queryFn: () => standingApi.growthPlans(account!.id),
    enabled: account !== undefined,
    placeholderData: (before) => before,
  });
  const begin = async (product: number): Promise<number | null> => {
    try {
      const { id } = await undo.during(standingApi.beginGrowth(account!.id, product));
      await look(client);
      undo.did({ words: 'a growth plan was begun', undoing: { kind: 'no-rule', id } });
      return id;
    } catch (fault) {
      tell((fault as Error).message, { kind: 'fault' });
      return null;
    }
  };
  return { data, error, begin };
}

/** One growth plan whole, and what is done with its campaigns. */
export function useGrowth(account: AccountInfo, id: number) {
  const client = useQueryClient();
  const tell = useTell();
  const undo = useUndo(account.id);
  const key = ['growth', account.id, account.revision, id];
  const { data, error, isFetching } = useQuery({
    queryKey: key,
    queryFn: () => standingApi.growth(account.id, id),
    placeholderData: (before) => before,
  });
  const put = async (campaigns: { campaignId: number; stage: Stage | null }[], words: string) => {
    const before = new Map((data?.members ?? []).map((one) => [one.id, one.stage]));
    try {
      const next = await undo.during(api.putGrowthCampaigns({ account: account.id, id, campaigns }));
      client.setQueryData<GrowthInfo>(key, next);
      undo.did({
        words,
        undoing: {
          kind: 'growth-campaigns',
          id,
          campaigns: campaigns.map(({ campaignId }) => ({
            campaignId,
            stage: before.get(campaignId) ?? null,
          })),
        },
      });
      await client.invalidateQueries({ predicate: ({ queryKey }) => queryKey[0] === 'changes' });
      await look(client);
    } catch (fault) {
      tell((fault as Error).message, { kind: 'fault' });
    }
  };
  return { data, error, isFetching, put };
}

const look = (client: ReturnType<typeof useQueryClient>) =>
  client.invalidateQueries({
    predicate: ({ queryKey }) => ['growth', 'rules'].includes(String(queryKey[0])),
  });
