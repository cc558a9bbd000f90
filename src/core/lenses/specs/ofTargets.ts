import { WITH_PROFIT } from './spec';

/** What all lenses whose rows are targets share. */
export const OF_TARGETS = {
  grain: 'target',
  entity: 'target',
  id: 'targetId',
  part: null,
  value: 'bid',
  sets: true,
  whyNotSet: '',
  pauses: 'target',
  usualIn: 'campaign',
  below: { scope: 'target', id: 'targetId', lenses: ['terms'] },
  history: 'targetId',
  placeLabel: 'Where',
  columns: ['standing', 'name', 'place', 'kind', 'bid', ...WITH_PROFIT, 'trend'],
} as const;
