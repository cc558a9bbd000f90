import { wordsOfWeek } from './schedule';
import type { AddSchedule, EndSchedule } from './schedule';
import type { ChangeSpec } from './spec';

export const endSchedule: ChangeSpec<EndSchedule, AddSchedule> = {
  kind: 'end-schedule',
  shape: { scheduleId: 'id', campaignId: 'id', name: 'name', week: 'week' },
  byRequest: true,
  key: ({ scheduleId }) => `end schedule ${scheduleId}`,
  words: ({ name, week }) => `End the schedule “${name}”: ${wordsOfWeek(week)}`,
  group: () => 'Schedules',
  purpose: () => 'schedule',
  entities: ({ campaignId, scheduleId }) => ({ campaign: campaignId, schedule: scheduleId }),
  sets: null,
  makes: null,
  moves: ({ campaignId }) => ({ what: 'schedule', campaign: campaignId }),
  present: ({ schedule }) => schedule?.state ?? null,
  isChangedSince: () => false,
  // What has ended stays so: another one like it is made.
  inverse: ({ campaignId, name, week }) => ({ kind: 'add-schedule', campaignId, name, week }),
  check: () => [],
  standsAlready: (_, present) => (present === 'archived' ? 'It has already ended.' : null),
  frees: ({ campaignId }) => campaignId,
  touches: ({ campaignId }) => ({ campaign: campaignId }),
  toMarket: ({ scheduleId }, ids) => {
    const id = ids.schedule(scheduleId);
    return id ? { do: 'archive', entity: 'schedules', id } : null;
  },
  accepted: ({ scheduleId }) => ({
    does: 'set',
    entity: 'schedule',
    id: scheduleId,
    values: { state: 'archived' },
  }),
};
