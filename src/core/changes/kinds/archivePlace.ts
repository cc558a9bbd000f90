import type { ChangeSpec } from './spec';
import type { Named } from '../named';

/** Ends a campaign or an ad group: final on a market, where archived things stay archived. */
export interface ArchivePlace {
  kind: 'archive-place';
  entity: 'campaign' | 'ad-group';
  id: number;
}

export const archivePlace: ChangeSpec<ArchivePlace> = {
  kind: 'archive-place',
  shape: { entity: { oneOf: ['campaign', 'ad-group'] }, id: 'id' },
  byRequest: false,
  key: ({ entity, id }) => `archive ${entity} ${id}`,
  words: ({ entity }) => `End the ${entity.replace('-', ' ')}`,
  group: () => 'Ended and lifted',
  purpose: () => 'other',
  entities: ({ entity, id }): Named => (entity === 'campaign' ? { campaign: id } : { adGroup: id }),
  sets: null,
  makes: null,
  present: ({ campaign, adGroup }, { entity }) => (entity === 'campaign' ? campaign : adGroup)?.state ?? null,
  isChangedSince: () => false,
  inverse: () => null,
  check: () => [],
  touches: () => null,
  toMarket: ({ entity, id }, ids) => {
    const campaign = entity === 'campaign' && ids.campaign(id);
    if (campaign) return { do: 'archive', entity: 'campaigns', id: campaign };
    const adGroup = entity === 'ad-group' && ids.adGroup(id);
    return adGroup ? { do: 'archive', entity: 'ad-groups', id: adGroup } : null;
  },
  accepted: ({ entity, id }) => ({ does: 'set', entity, id, values: { state: 'archived' } }),
};
