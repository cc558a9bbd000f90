import { useQueryClient } from '@tanstack/react-query';
import { useTell } from './useTell';
import type { AccountInfo } from '../../contract/api';
import { api } from './api';

/** Sets the account's target ACOS (share); a refusal is told. */
export function useSetTarget(account: AccountInfo): (targetAcos: number) => Promise<void> {
  const client = useQueryClient();
  const tell = useTell();
  return async (targetAcos) => {
    try {
      const next = await api.setTarget(account.id, targetAcos);
      client.setQueryData<AccountInfo[]>(['accounts'], (old) =>
        old?.map((one) => (one.id === next.id ? next : one)),
      );
    } catch (error) {
      tell((error as Error).message, { kind: 'fault' });
    }
  };
}
