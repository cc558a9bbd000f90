import { useMemo } from 'react';
import { useUrlState } from '../shared/urlState';

/** Columns that the rows can be ordered by. */
export type SortKey =
  | 'target'
  | 'place'
  | 'bid'
  | 'impressions'
  | 'clicks'
  | 'cpc'
  | 'spend'
  | 'moved'
  | 'orders'
  | 'sales'
  | 'acos';

export const WINDOW_CHOICES = [7, 14, 30, 60, 90] as const;

/** Everything in the field that a link carries. */
export function useFieldState() {
  const { values, set } = useUrlState();
  const sort = values.get('sort') ?? '-spend';
  return useMemo(
    () => ({
      account: values.get('account'),
      days: Number(values.get('days') ?? 30) || 30,
      unsettled: values.get('unsettled') === 'as-is' ? ('as-is' as const) : ('left-out' as const),
      search: values.get('search') ?? '',
      sort: { by: sort.replace(/^-/, '') as SortKey, descending: sort.startsWith('-') },
      setDays: (days: number) => set({ days: String(days) }),
      setUnsettled: (unsettled: 'left-out' | 'as-is') =>
        set({ unsettled: unsettled === 'as-is' ? 'as-is' : null }),
      setSearch: (search: string) => set({ search: search === '' ? null : search }),
      setSort: (by: SortKey) => set({ sort: sort === `-${by}` ? by : `-${by}` }),
    }),
    [values, set, sort],
  );
}

export type FieldState = ReturnType<typeof useFieldState>;
