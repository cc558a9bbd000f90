import { formatFullDay } from '../../units';
import type { Day } from '../../units';
import type { ChangeSpec } from './spec';

type Which = 'startsOn' | 'endsOn';

/** A first or last day that is set; null: none. */
interface SetsDay {
  kind: string;
  which: Which;
  from: Day | null;
  to: Day | null;
}

/** What a day is set of. */
interface DayPlace<C> {
  entity: 'campaign' | 'ad-group';
  noun: string;
  /** The field that names it. */
  field: keyof C & string;
  idOf: (change: C) => number;
  /** What the key of a change begins with. */
  key: string;
  /** Days that may be missing. */
  free: readonly Which[];
}

const told = (day: Day | null) => (day === null ? 'none' : formatFullDay(day));

/** What the kinds that set the first or the last day of a place share. */
export const setsDay = <C extends SetsDay>(
  kind: C['kind'],
  { entity, noun, field, idOf, key, free }: DayPlace<C>,
): ChangeSpec<C> => ({
  kind,
  shape: {
    [field]: 'id',
    which: { oneOf: ['startsOn', 'endsOn'] },
    from: 'day or null',
    to: 'day or null',
  } as never,
  byRequest: true,
  key: (change) => `${key} ${change.which} ${idOf(change)}`,
  words: ({ which, from, to }) =>
    `${which === 'startsOn' ? 'First day' : 'Last day'}${entity === 'campaign' ? '' : ` of the ${noun}`} ${told(from)} → ${told(to)}`,
  group: () => 'Dates, pacing and flex',
  purpose: () => 'other',
  entities: (change) => (entity === 'campaign' ? { campaign: idOf(change) } : { adGroup: idOf(change) }),
  sets: 'day',
  makes: null,
  present: ({ campaign, adGroup }, { which }) =>
    (entity === 'campaign' ? campaign : adGroup)?.[which] ?? null,
  fromPresent: (change, present) => ({ ...change, from: typeof present === 'string' ? present : null }),
  isChangedSince: ({ to }, present) => present !== to,
  inverse: (change) =>
    change.from === null && !free.includes(change.which)
      ? null
      : { ...change, from: change.to, to: change.from },
  check: ({ which, to }) =>
    to === null && !free.includes(which)
      ? [{ code: 'no-day', sentence: `A ${noun} has a first day; write which.` }]
      : [],
  standsAlready: ({ to }, present) => (present === to ? 'It has this day already.' : null),
  touches: () => null,
  toMarket: (change, ids) => {
    const id = (entity === 'campaign' ? ids.campaign : ids.adGroup)(idOf(change));
    const fields = { [change.which]: change.to };
    if (!id) return null;
    return entity === 'campaign'
      ? { do: 'update', entity: 'campaigns', id, fields }
      : { do: 'update', entity: 'ad-groups', id, fields };
  },
  accepted: (change) => ({
    does: 'set',
    entity,
    id: idOf(change),
    values: { [change.which]: change.to },
  }),
});
