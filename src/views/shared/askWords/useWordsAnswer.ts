import { useQuery } from '@tanstack/react-query';
import type { AccountInfo } from '../../../contract/api';
import { wordsState } from './wordsLoad';

/**
 * The answer to a question about an account's words; the answer before stays until the next is here.
 * @param ask null: there is nothing to ask
 */
export function useWordsAnswer<T>(
  account: AccountInfo,
  question: unknown[],
  ask: (() => Promise<T>) | null,
): { answer: T | undefined; isFetching: boolean } {
  const { data, isFetching } = useQuery({
    queryKey: ['words-answer', ...wordsState(account), ...question],
    queryFn: ask ?? undefined,
    enabled: ask !== null,
    placeholderData: (before) => before,
    throwOnError: true,
    staleTime: Infinity,
    gcTime: 30_000,
  });
  return { answer: data, isFetching };
}
