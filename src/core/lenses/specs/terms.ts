import { WITH_PROFIT } from './spec';
import type { LensSpec } from './spec';

export const terms: LensSpec<'terms'> = {
  name: 'terms',
  label: 'Search terms',
  row: 'search term',
  rows: 'search terms',
  grain: 'term',
  entity: 'term',
  id: 'targetId',
  part: 'term',
  value: 'none',
  sets: false,
  whyNotSet: 'Search terms have no bid of their own: promote or block them below the rows.',
  pauses: null,
  shows: null,
  hasWords: true,
  usualIn: 'campaign',
  below: { scope: 'ad-group', id: 'adGroupId', lenses: ['keywords', 'items', 'auto'] },
  history: 'targetId',
  placeLabel: 'Where',
  columns: ['standing', 'name', 'place', 'kind', 'termKind', ...WITH_PROFIT, 'trend'],
};
