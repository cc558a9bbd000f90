import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { QueryClient } from '@tanstack/react-query';
import { useCallback, useMemo, useSyncExternalStore } from 'react';
import type { AccountInfo, RevisionAnswer } from '../../contract/api';
import { api } from './api';
import { queryKeys } from './queryKeys';

/** What stands in a page for the days of an account: it moves on only when the reader takes newer data over. */
type Shown = Pick<AccountInfo, 'revision' | 'today' | 'firstDay' | 'lastDay' | 'sums'>;

const shown = new Map<number, Shown>();
const listeners = new Set<() => void>();
let changes = 0;

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** Shows the newest state of an account from now on. */
function show({ id, revision, today, firstDay, lastDay, sums }: AccountInfo): void {
  shown.set(id, { revision, today, firstDay, lastDay, sums });
  changes += 1;
  for (const listener of listeners) listener();
}

/** An account as the page shows it: with the revision and days that it began with, or took over since. */
export function useShownAccount(account: AccountInfo | undefined): AccountInfo | undefined {
  useSyncExternalStore(subscribe, () => changes);
  if (account && !shown.has(account.id)) {
    const { revision, today, firstDay, lastDay, sums } = account;
    shown.set(account.id, { revision, today, firstDay, lastDay, sums });
  }
  const at = account && shown.get(account.id);
  // The same while nothing of it changes: what is drawn from it stays as it is.
  return useMemo(() => account && { ...account, ...at }, [account, at]);
}

/** Shows the newest data of an account: for what the reader took over, or did. What the worker holds is keyed by the revision; all else is asked anew. */
export async function takeOverData(client: QueryClient, id: number): Promise<void> {
  const accounts = await client.fetchQuery({
    queryKey: queryKeys.accounts,
    queryFn: api.accounts,
    staleTime: 0,
  });
  const newest = accounts.find((one) => one.id === id);
  if (newest) show(newest);
  await client.invalidateQueries({ predicate: ({ meta }) => meta?.inWorker !== true });
}

/** How often an open page asks whether there are newer figures, ms. */
const ASK_EVERY_MS = 15_000;

/** The newest state of an account, asked for now and then. */
export function useRevision(id: number | undefined): RevisionAnswer | undefined {
  const { data } = useQuery({
    queryKey: queryKeys.revision(id),
    queryFn: () => api.revision(id!),
    enabled: id !== undefined,
    refetchInterval: ASK_EVERY_MS,
  });
  return data;
}

/** Whether an account has newer data than the page shows, and taking them over. @param account as the page shows it */
export function useNewData(account: AccountInfo | undefined): {
  isNewer: boolean;
  takeOver: () => Promise<void>;
} {
  const client = useQueryClient();
  const id = account?.id;
  const data = useRevision(id);
  const takeOver = useCallback(async () => {
    if (id !== undefined) await takeOverData(client, id);
  }, [client, id]);
  return {
    isNewer: data !== undefined && account !== undefined && data.revision > account.revision,
    takeOver,
  };
}
