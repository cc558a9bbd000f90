import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api } from '../shared/api';

/** How many bids would be changed in each account, as they are worked out: null where that failed, nothing yet where it is to come. */
export function useProposals(): ReadonlyMap<number, number | null> {
  const { data: accounts } = useQuery({ queryKey: ['accounts'], queryFn: api.accounts });
  const [found, setFound] = useState<ReadonlyMap<number, number | null>>(new Map());
  useEffect(() => {
    let isLeft = false;
    const count = async () => {
      for (const account of accounts ?? []) {
        if (isLeft) return;
        if (account.lastDay === null) continue;
        const { left } = await api.bidsLeft(account.id).catch(() => ({ left: null }));
        setFound((known) => new Map(known).set(account.id, left));
      }
    };
    void count();
    return () => {
      isLeft = true;
    };
  }, [accounts]);
  return found;
}
