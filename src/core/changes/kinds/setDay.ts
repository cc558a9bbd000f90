import type { Day } from '../../units';
import { setsDay } from './dayKind';

/** Sets the first or the last day of a campaign; without a last day it has no end. */
export interface SetDay {
  kind: 'set-day';
  campaignId: number;
  which: 'startsOn' | 'endsOn';
  from: Day | null;
  to: Day | null;
}

export const setDay = setsDay<SetDay>('set-day', {
  entity: 'campaign',
  noun: 'campaign',
  field: 'campaignId',
  idOf: ({ campaignId }) => campaignId,
  key: 'day',
  free: ['endsOn'],
});
