import { useQuery } from '@tanstack/react-query';
import type { Me } from '../../../contract/people';
import { api } from '../api';
import { queryKeys } from '../queryKeys';

/** Who is signed in; undefined while that is asked, null where nobody signs in. */
export function useMe(): Me['person'] | undefined {
  const { data } = useQuery({ queryKey: queryKeys.me, queryFn: api.me, staleTime: 60_000 });
  return data?.person;
}
