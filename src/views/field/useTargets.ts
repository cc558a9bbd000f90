import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { api } from '../shared/api';
import { targetRows } from './targetRows';
import type { TargetRow } from './targetRows';

const NONE: TargetRow[] = [];

/** The targets of an account with their sums over a window. Another window asks for its sums alone. */
export function useTargets(account: number | undefined, days: number, unsettled: 'left-out' | 'as-is') {
  const structure = useQuery({
    queryKey: ['structure', account],
    queryFn: () => api.structure(account!),
    enabled: account !== undefined,
  });
  const sums = useQuery({
    queryKey: ['targets', account, days, unsettled],
    queryFn: () => api.targetSums(account!, days, unsettled),
    enabled: account !== undefined,
    placeholderData: (before) => before,
  });
  const rows = useMemo(
    () => (structure.data && sums.data ? targetRows(structure.data, sums.data) : NONE),
    [structure.data, sums.data],
  );
  const data = structure.data && sums.data;
  return { data, rows, error: structure.error ?? sums.error };
}
