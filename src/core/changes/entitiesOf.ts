import type { Change } from './change';

/** The entities that a change names, by our ids. */
export interface Named {
  campaign?: number;
  adGroup?: number;
  target?: number;
  negative?: number;
  product?: number;
}

/** Which entities a change names: they have to be there for it to make sense. */
export function entitiesOf(change: Change): Named {
  switch (change.kind) {
    case 'add-keyword':
    case 'add-item-target':
      return { adGroup: change.adGroupId };
    case 'add-negative':
      return {
        campaign: change.campaignId,
        ...(change.adGroupId === null ? {} : { adGroup: change.adGroupId }),
      };
    case 'set-bid':
    case 'archive-target':
      return { target: change.targetId };
    case 'set-budget':
    case 'set-modifier':
      return { campaign: change.campaignId };
    case 'set-state':
      return {
        campaign: { campaign: change.id },
        'ad-group': { adGroup: change.id },
        target: { target: change.id },
      }[change.entity];
    case 'add-campaign':
      return { campaign: change.campaignId };
    case 'add-ad-group':
      return { campaign: change.campaignId, adGroup: change.adGroupId };
    case 'add-ad':
      return { adGroup: change.adGroupId, product: change.productId };
    case 'archive-place':
      return change.entity === 'campaign' ? { campaign: change.id } : { adGroup: change.id };
    case 'archive-negative':
      return { negative: change.negativeId };
  }
}
