import { readWeek } from '../../schedules';
import { checkWeek } from '../limits';
import { wordsOfWeek } from './schedule';
import type { AddSchedule, EndSchedule } from './schedule';
import type { ChangeSpec } from './spec';

export const addSchedule: ChangeSpec<AddSchedule, EndSchedule> = {
  kind: 'add-schedule',
  shape: { campaignId: 'id', name: 'name', week: 'week' },
  byRequest: true,
  key: ({ campaignId }) => `schedule of ${campaignId}`,
  words: ({ name, week }) => `Schedule “${name}”: ${wordsOfWeek(week)}`,
  group: () => 'Schedules',
  purpose: () => 'schedule',
  entities: ({ campaignId }) => ({ campaign: campaignId }),
  sets: 'schedule',
  makes: 'schedule',
  moves: ({ campaignId }) => ({ what: 'schedule', campaign: campaignId }),
  // Before it is made: the schedule that stands in its way.
  present: ({ made, campaign }) => made ?? (campaign?.schedule == null ? null : `“${campaign.schedule}”`),
  isChangedSince: (_, present) => present !== 'enabled',
  inverse: ({ campaignId, name, week }, { scheduleId }) =>
    scheduleId === null ? null : { kind: 'end-schedule', scheduleId, campaignId, name, week },
  check: ({ week }) => checkWeek(week),
  idleWhenPaused: true,
  touches: ({ campaignId }) => ({ campaign: campaignId }),
  toMarket: ({ campaignId, name, week }, ids) => {
    const campaign = ids.campaign(campaignId);
    const hours = readWeek(week);
    return campaign && hours
      ? { do: 'create', entity: 'schedules', fields: { campaignId: campaign, name, week: [...hours] } }
      : null;
  },
  accepted: ({ campaignId, name, week }) => ({ does: 'make-schedule', campaignId, name, week }),
};
