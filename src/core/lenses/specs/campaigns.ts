import { FIGURES } from './spec';
import type { LensSpec } from './spec';

export const campaigns: LensSpec<'campaigns'> = {
  name: 'campaigns',
  label: 'Campaigns',
  row: 'campaign',
  rows: 'campaigns',
  grain: 'ad-group',
  entity: 'campaign',
  id: 'campaignId',
  part: null,
  value: 'budget',
  sets: true,
  whyNotSet: '',
  pauses: 'campaign',
  shows: null,
  hasWords: false,
  usualIn: 'account',
  below: {
    scope: 'campaign',
    id: 'campaignId',
    lenses: ['ad-groups', 'keywords', 'items', 'auto', 'terms', 'placements'],
  },
  history: 'campaignId',
  placeLabel: 'Product',
  columns: ['standing', 'name', 'place', 'state', 'bid', ...FIGURES, 'trend'],
};
