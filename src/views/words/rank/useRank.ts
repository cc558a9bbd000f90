import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { RANK_SPANS } from '../../../contract/rank';
import type { RankSpan } from '../../../contract/rank';
import { arrangeRows, readAnyOf, writeAnyOf } from '../../../core/conditions';
import type { NumberKey, Stack } from '../../../core/conditions';
import { RANK_SWATHS, rankReader } from '../../../core/rank';
import { api } from '../../shared/api';
import { useUrlState } from '../../shared/urlState';

const USUAL_SORT = { by: 'rank.organic', descending: true };

/** The list of ranks as its link says: days compared, conditions, order; and the rows that meet them. */
export function useRank(account: AccountInfo) {
  const { values, set } = useUrlState();
  const span = (RANK_SPANS.find((one) => String(one) === values.get('span')) ?? 28) as RankSpan;
  const { data, error, refetch } = useQuery({
    queryKey: ['rank', account.id, account.revision, span],
    queryFn: () => api.rank(account.id, span),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
  const written = values.getAll('where').join('\n');
  const conditions = useMemo<Stack>(
    () =>
      written
        .split('\n')
        .flatMap((text) => (text === '' ? [] : [readAnyOf(text)].filter((one) => one !== null))),
    [written],
  );
  const sort = values.get('sort') ?? '';
  const by = sort.replace(/^-/, '');
  const order = by === '' ? USUAL_SORT : { by, descending: sort.startsWith('-') };
  const rows = data?.rows;
  const deepest = data?.deepest ?? 1;
  const shown = useMemo(() => {
    if (!rows) return new Int32Array();
    const all = Int32Array.from(rows, (_, at) => at);
    return arrangeRows(rankReader(rows, deepest), all, conditions, [
      { by: order.by as NumberKey, descending: order.descending },
    ]);
  }, [rows, deepest, conditions, order.by, order.descending]);
  const swath = RANK_SWATHS.find((one) => one.conditions.join('\n') === written)?.key ?? null;
  return {
    answer: data,
    error,
    refetch,
    span,
    conditions,
    order,
    shown,
    /** Which ready swath the conditions are; null for none. */
    swath,
    setSpan: (next: string) => set({ span: next }),
    setConditions: (next: Stack) => set({ where: next.map(writeAnyOf) }),
    setSwath: (key: string | null) =>
      set({ where: [...(RANK_SWATHS.find((one) => one.key === key)?.conditions ?? [])] }, true),
    setSort: (key: string) => set({ sort: order.by === key && order.descending ? key : `-${key}` }),
  };
}

export type RankState = ReturnType<typeof useRank>;
