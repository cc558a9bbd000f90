import type { HoursAnswer, HoursQuery } from '../../../contract/hours';
import type {
  FollowAnswer,
  FollowRequest,
  NamedWeek,
  SchedulesAnswer,
  WeekPrice,
} from '../../../contract/schedules';
import type { TrialInfo, TrialNeeds, TrialRequest } from '../../../contract/trials';
import { ask, asking, query, send } from '../ask';

/** What views ask about hours, schedules and trials by weeks. */
export const hoursApi = {
  hours: (asked: HoursQuery) => ask<HoursAnswer>(`/api/hours?${query({ ...asked })}`),
  schedules: (account: number) => ask<SchedulesAnswer>(`/api/schedules?${query({ account })}`),
  keepWeek: (account: number, week: NamedWeek, was: string | null) =>
    ask<{ kept: boolean }>('/api/schedules', send('PUT', { account, ...week, was })),
  dropWeek: (account: number, name: string) =>
    ask<{ removed: boolean }>('/api/schedules', send('DELETE', { account, name })),
  follow: (request: FollowRequest) => ask<FollowAnswer>('/api/schedules', send('POST', request)),
  weekPrice: (account: number, campaigns: readonly number[], week: string) =>
    ask<WeekPrice>('/api/week-price', asking({ account, campaigns, week })),
  trials: (account: number) => ask<TrialInfo[]>(`/api/trials?${query({ account })}`),
  trialNeeds: (account: number, campaigns: readonly number[]) =>
    ask<TrialNeeds>('/api/trials/needs', asking({ account, campaigns })),
  startTrial: (request: TrialRequest) =>
    ask<{ id: number; trouble: string }>('/api/trials', send('POST', request)),
  actOnTrial: (account: number, id: number, does: 'stop' | 'keep') =>
    ask<{ staged: number[] }>('/api/trials', send('PATCH', { account, id, does })),
};
