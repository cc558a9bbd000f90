import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useTell } from '../../shared/useTell';

/** Does something to people, sessions or tokens; what is shown of them is asked for anew. */
export function usePeopleAct<A, T>(act: (asked: A) => Promise<T>, done?: (answer: T, asked: A) => void) {
  const client = useQueryClient();
  const tell = useTell();
  return useMutation({
    mutationFn: act,
    onSuccess: done,
    onError: (fault: Error) => tell(fault.message, { kind: 'fault' }),
    onSettled: () =>
      client.invalidateQueries({
        predicate: ({ queryKey }) =>
          ['people', 'sessions', 'passkeys', 'codes'].includes(String(queryKey[0])),
      }),
  });
}
