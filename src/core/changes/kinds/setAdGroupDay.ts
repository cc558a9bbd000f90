import type { Day } from '../../units';
import { setsDay } from './dayKind';

/** Gives an ad group a first or last day of its own; null: its campaign's. */
export interface SetAdGroupDay {
  kind: 'set-ad-group-day';
  adGroupId: number;
  which: 'startsOn' | 'endsOn';
  from: Day | null;
  to: Day | null;
}

export const setAdGroupDay = setsDay<SetAdGroupDay>('set-ad-group-day', {
  entity: 'ad-group',
  noun: 'ad group',
  field: 'adGroupId',
  idOf: ({ adGroupId }) => adGroupId,
  key: 'ad group day',
  free: ['startsOn', 'endsOn'],
});
