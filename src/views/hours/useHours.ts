import { useQuery } from '@tanstack/react-query';
import type { AccountInfo } from '../../contract/api';
import type { HoursQuery } from '../../contract/hours';
import { api } from '../shared/api';
import { useUrlState } from '../shared/urlState';
import { HOUR_MEASURES } from './picture/measures';

export const WEEKS = [4, 8, 12, 26] as const;
const USUAL_WEEKS = 12;

export const HOUR_PARTS = ['picture', 'schedules', 'trials'] as const;
export type HourPart = (typeof HOUR_PARTS)[number];

/** Whose hours are shown, over how many weeks up to which day, beside which others, and by what measure; all of it stands in the address. */
export function useHours(account: AccountInfo | undefined) {
  const { values, set } = useUrlState();
  const weeks = Number(values.get('weeks') ?? USUAL_WEEKS);
  const [scope = 'account', id = '0'] = (values.get('of') ?? 'account 0').split(' ');
  const asked = { weeks, scope: scope as HoursQuery['scope'], scopeId: Number(id) };
  const [until, beside] = [values.get('until'), values.get('beside')];
  const measure = HOUR_MEASURES.find(({ name }) => name === values.get('measure')) ?? HOUR_MEASURES[0];
  const part = HOUR_PARTS.find((one) => one === values.get('part')) ?? 'picture';
  const isPicture = account !== undefined && part === 'picture';
  const own = useHoursOf(account, { ...asked, ...(until !== null && { until }) }, isPicture);
  const other = useHoursOf(
    account,
    { ...asked, ...(beside !== null && { until: beside }) },
    isPicture && beside !== null,
  );
  return {
    ...asked,
    part,
    measure,
    until,
    beside,
    isDifference: values.get('as') === 'difference',
    answer: own.data,
    other: beside === null ? undefined : other.data,
    error: own.error ?? other.error,
    setPart: (next: HourPart) => set({ part: next === 'picture' ? null : next }, true),
    setWeeks: (next: number) => set({ weeks: next === USUAL_WEEKS ? null : String(next) }),
    setScope: (next: HoursQuery['scope'], scopeId: number) =>
      set({ of: next === 'account' ? null : `${next} ${scopeId}` }),
    setMeasure: (name: string) => set({ measure: name === HOUR_MEASURES[0].name ? null : name }),
    setUntil: (day: string | null) => set({ until: day }),
    setBeside: (day: string | null) => set({ beside: day }),
    setDifference: (isDifference: boolean) => set({ as: isDifference ? 'difference' : null }),
  };
}

function useHoursOf(
  account: AccountInfo | undefined,
  asked: Omit<HoursQuery, 'account'>,
  isEnabled: boolean,
) {
  return useQuery({
    queryKey: ['hours', account?.id, account?.revision, asked],
    queryFn: () => api.hours({ account: account!.id, ...asked }),
    enabled: isEnabled,
    placeholderData: (before) => before,
  });
}

export type HoursState = ReturnType<typeof useHours>;
