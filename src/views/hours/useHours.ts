import { useQuery } from '@tanstack/react-query';
import type { AccountInfo } from '../../contract/api';
import type { HoursAnswer, HoursQuery } from '../../contract/hours';
import { ask, query } from '../shared/ask';
import { useUrlState } from '../shared/urlState';
import { HOUR_MEASURES } from './measures';

export const WEEKS = [4, 8, 12, 26] as const;
const USUAL_WEEKS = 12;

/** Whose hours are shown, over how many weeks, and by what measure; all of it stands in the address. */
export function useHours(account: AccountInfo | undefined) {
  const { values, set } = useUrlState();
  const weeks = Number(values.get('weeks') ?? USUAL_WEEKS);
  const [scope = 'account', id = '0'] = (values.get('of') ?? 'account 0').split(' ');
  const asked = { weeks, scope: scope as HoursQuery['scope'], scopeId: Number(id) };
  const measure = HOUR_MEASURES.find(({ name }) => name === values.get('measure')) ?? HOUR_MEASURES[0];
  const { data, error } = useQuery({
    queryKey: ['hours', account?.id, account?.revision, asked],
    queryFn: () => ask<HoursAnswer>(`/api/hours?${query({ account: account!.id, ...asked })}`),
    enabled: account !== undefined,
    placeholderData: (before) => before,
  });
  return {
    ...asked,
    measure,
    answer: data,
    error,
    setWeeks: (next: number) => set({ weeks: next === USUAL_WEEKS ? null : String(next) }),
    setScope: (next: HoursQuery['scope'], scopeId: number) =>
      set({ of: next === 'account' ? null : `${next} ${scopeId}` }),
    setMeasure: (name: string) => set({ measure: name === HOUR_MEASURES[0].name ? null : name }),
  };
}
