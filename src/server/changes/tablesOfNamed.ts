import type { Named } from '../../core/changes';

/** Where what a change names is kept, in the schema mowing. */
export const TABLES_OF_NAMED = {
  campaign: 'campaign',
  adGroup: 'ad_group',
  ad: 'ad',
  target: 'target',
  negative: 'negative',
  product: 'product',
  schedule: 'schedule',
} as const satisfies Record<keyof Named, string>;
