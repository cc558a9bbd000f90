import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { Remote } from 'comlink';
import type { LoadedWords } from '../shared/wordsEngine/types';
import { pageWords } from '../shared/wordsEngine/pageWords';
import type { WordsEngine } from '../shared/wordsEngine/wordsEngine';

/** What the engine of words answers to a question about what it has loaded; the answer before stays until the next is here. */
export function useWordsAnswer<T>(
  loaded: LoadedWords,
  question: unknown[],
  ask: (engine: Remote<WordsEngine>, loadId: number) => Promise<T | null> | null,
): { answer: T | undefined; isFetching: boolean } {
  const client = useQueryClient();
  const { data, isFetching } = useQuery({
    queryKey: ['words-answer', loaded.loadId, ...question],
    queryFn: async () => {
      const asked = ask(pageWords(), loaded.loadId);
      const answer = asked && (await asked);
      // The worker has let the load go since.
      if (asked && answer === null) void client.invalidateQueries({ queryKey: ['words'] });
      return answer ?? null;
    },
    placeholderData: (before) => before,
    throwOnError: true,
    staleTime: Infinity,
    gcTime: 30_000,
  });
  return { answer: data ?? undefined, isFetching };
}
