import type { GoalScope } from '../goals';
import type { Place } from './accountTree';

const PLACE_FIELDS = {
  line: 'lineId',
  product: 'productId',
  campaign: 'campaignId',
  'ad-group': 'adGroupId',
} as const;

/** Whether a place lies in a scope: everything does in the account's. */
export const isInScope = (kind: GoalScope, id: number, place: Place): boolean =>
  kind === 'account' || place[PLACE_FIELDS[kind]] === id;
