import { readWeek } from '../../schedules';
import { checkWeek } from '../limits';
import { wordsOfWeek } from './schedule';
import type { ChangeSpec } from './spec';

/** Has a campaign's schedule follow another week. */
export interface SetSchedule {
  kind: 'set-schedule';
  scheduleId: number;
  campaignId: number;
  name: string;
  from: string;
  to: string;
}

export const setSchedule: ChangeSpec<SetSchedule> = {
  kind: 'set-schedule',
  shape: { scheduleId: 'id', campaignId: 'id', name: 'name', from: 'week', to: 'week' },
  byRequest: true,
  key: ({ scheduleId }) => `schedule ${scheduleId}`,
  words: ({ name, from, to }) => `Schedule “${name}”: ${wordsOfWeek(from)} → ${wordsOfWeek(to)}`,
  group: () => 'Schedules',
  purpose: () => 'schedule',
  entities: ({ campaignId, scheduleId }) => ({ campaign: campaignId, schedule: scheduleId }),
  sets: 'schedule',
  makes: null,
  moves: ({ campaignId }) => ({ what: 'schedule', campaign: campaignId }),
  present: ({ schedule }) => schedule?.week ?? null,
  fromPresent: (change, present) => (typeof present === 'string' ? { ...change, from: present } : change),
  isChangedSince: ({ to }, present) => present !== null && present !== to,
  inverse: (change) => ({ ...change, from: change.to, to: change.from }),
  check: ({ to }) => checkWeek(to),
  standsAlready: ({ to }, present) => (present === to ? 'It follows this week already.' : null),
  idleWhenPaused: true,
  touches: ({ campaignId }) => ({ campaign: campaignId }),
  toMarket: ({ scheduleId, to }, ids) => {
    const id = ids.schedule(scheduleId);
    const hours = readWeek(to);
    return id && hours ? { do: 'update', entity: 'schedules', id, fields: { week: [...hours] } } : null;
  },
  accepted: ({ scheduleId, to }) => ({
    does: 'set',
    entity: 'schedule',
    id: scheduleId,
    values: { week: to },
  }),
};
