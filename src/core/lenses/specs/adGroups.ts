import { WITH_PROFIT } from './spec';
import type { LensSpec } from './spec';

export const adGroups: LensSpec<'ad-groups'> = {
  name: 'ad-groups',
  label: 'Ad groups',
  row: 'ad group',
  rows: 'ad groups',
  grain: 'ad-group',
  entity: 'ad-group',
  id: 'adGroupId',
  part: null,
  value: 'bid',
  sets: false,
  whyNotSet: 'Bids stand on the targets: Enter shows those of the focused ad group.',
  pauses: 'ad-group',
  shows: null,
  hasWords: false,
  usualIn: 'campaign',
  below: { scope: 'ad-group', id: 'adGroupId', lenses: ['keywords', 'items', 'auto', 'terms'] },
  history: 'adGroupId',
  placeLabel: 'Where',
  columns: ['standing', 'name', 'place', 'state', ...WITH_PROFIT, 'trend'],
};
