import { useQuery } from '@tanstack/react-query';
import type { AccountInfo } from '../../../contract/api';
import { loaded } from '../worker/workerLoad';
import { wordsLoad } from './wordsLoad';

/** What terms of the last 90 days an account has. */
export function useWords(account: AccountInfo | undefined, isWanted: boolean) {
  const load = wordsLoad(account);
  const { data, error } = useQuery({
    queryKey: load.key,
    queryFn: () => loaded(load),
    enabled: isWanted && account?.lastDay != null,
    staleTime: Infinity,
  });
  return { loaded: data, error };
}
