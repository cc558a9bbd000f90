import type { Goal } from '../../../core/goals';

export const SCOPE_LABELS: Record<Goal['scope'], string> = {
  account: 'Account',
  line: 'Product line',
  product: 'Product',
  campaign: 'Campaign',
  'ad-group': 'Ad group',
};
