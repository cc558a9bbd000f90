/** How rows about a target, a campaign or a product name it. */
export const AT_TARGET = {
  place: 'target',
  placeIds: ['campaignId', 'adGroupId', 'targetId'],
  placeNames: ['campaign', 'adGroup', 'target', 'match'],
  structure: ['campaignState', 'budget', 'budgetKind', 'adGroupState', 'defaultBid', 'state', 'bid'],
} as const;

export const AT_CAMPAIGN = {
  place: 'campaign',
  placeIds: ['campaignId'],
  placeNames: ['campaign'],
  structure: ['campaignState', 'budget', 'budgetKind'],
} as const;

export const AT_PRODUCT = {
  place: 'product',
  placeIds: ['itemCode'],
  placeNames: ['product'],
  structure: [],
} as const;

export const CAMPAIGN = ['campaign', 'campaignId'] as const;
export const AD_GROUP = ['adGroup', 'adGroupId'] as const;
