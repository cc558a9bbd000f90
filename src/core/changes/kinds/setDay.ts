import { formatFullDay } from '../../units';
import type { Day } from '../../units';
import type { ChangeSpec } from './spec';

/** Sets the first or the last day of a campaign; null: without an end. */
export interface SetDay {
  kind: 'set-day';
  campaignId: number;
  which: 'startsOn' | 'endsOn';
  from: Day | null;
  to: Day | null;
}

const told = (day: Day | null) => (day === null ? 'none' : formatFullDay(day));

export const setDay: ChangeSpec<SetDay> = {
  kind: 'set-day',
  shape: {
    campaignId: 'id',
    which: { oneOf: ['startsOn', 'endsOn'] },
    from: 'day or null',
    to: 'day or null',
  },
  byRequest: true,
  key: ({ campaignId, which }) => `day ${which} ${campaignId}`,
  words: ({ which, from, to }) =>
    `${which === 'startsOn' ? 'First day' : 'Last day'} ${told(from)} → ${told(to)}`,
  group: () => 'Dates, pacing and flex',
  purpose: () => 'other',
  entities: ({ campaignId }) => ({ campaign: campaignId }),
  sets: 'day',
  makes: null,
  present: ({ campaign }, { which }) => campaign?.[which] ?? null,
  fromPresent: (change, present) => ({ ...change, from: typeof present === 'string' ? present : null }),
  isChangedSince: ({ to }, present) => present !== to,
  inverse: (change) =>
    change.which === 'startsOn' && change.from === null
      ? null
      : { ...change, from: change.to, to: change.from },
  check: ({ which, to }) =>
    which === 'startsOn' && to === null
      ? [{ code: 'no-day', sentence: 'A campaign has a first day; write which.' }]
      : [],
  standsAlready: ({ to }, present) => (present === to ? 'It has this day already.' : null),
  touches: () => null,
  toMarket: ({ campaignId, which, to }, ids) => {
    const id = ids.campaign(campaignId);
    return id ? { do: 'update', entity: 'campaigns', id, fields: { [which]: to } } : null;
  },
  accepted: ({ campaignId, which, to }) => ({
    does: 'set',
    entity: 'campaign',
    id: campaignId,
    values: { [which]: to },
  }),
};
