import { useQueryClient } from '@tanstack/react-query';
import { useSnackbar } from 'notistack';
import type { AccountInfo } from '../../contract/api';
import { api } from './api';
import { NumberField } from './NumberField';

/** The account's target ACOS, changed in place. */
export function TargetField({ account }: { account: AccountInfo }) {
  const client = useQueryClient();
  const { enqueueSnackbar } = useSnackbar();
  const set = async (percent: number) => {
    try {
      const next = await api.setTarget(account.id, percent / 100);
      client.setQueryData<AccountInfo[]>(['accounts'], (old) =>
        old?.map((one) => (one.id === next.id ? next : one)),
      );
    } catch (error) {
      enqueueSnackbar((error as Error).message, { variant: 'error' });
    }
  };
  return (
    <NumberField
      label="% target ACOS"
      value={account.targetAcos * 100}
      min={0.1}
      step={1}
      width={44}
      onChange={(value) => void set(value)}
    />
  );
}
