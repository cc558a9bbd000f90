import { formatMoney } from '../../units';
import type { Micros } from '../../units';
import { checkBid } from '../limits';
import type { ArchivePlace } from './archivePlace';
import type { ChangeSpec } from './spec';

/** Makes an ad group; the id is that of our draft. */
export interface AddAdGroup {
  kind: 'add-ad-group';
  adGroupId: number;
  campaignId: number;
  name: string;
  defaultBid: Micros;
}

export const addAdGroup: ChangeSpec<AddAdGroup, ArchivePlace> = {
  kind: 'add-ad-group',
  shape: { adGroupId: 'id', campaignId: 'id', name: 'name', defaultBid: 'bid' },
  byRequest: false,
  key: ({ adGroupId }) => `ad group ${adGroupId}`,
  words: ({ name, defaultBid }) => `Make the ad group “${name}”, bid ${formatMoney(defaultBid)}`,
  group: () => 'Campaigns and ad groups',
  purpose: () => 'made',
  entities: ({ campaignId, adGroupId }) => ({ campaign: campaignId, adGroup: adGroupId }),
  sets: null,
  makes: 'ad-group',
  value: {
    read: ({ defaultBid }) => ({ from: null, to: defaultBid, unit: 'money', isBid: true }),
    write: (change, defaultBid) => ({ ...change, defaultBid }),
  },
  present: ({ adGroup }) => adGroup?.state ?? null,
  isChangedSince: (_, present) => present !== 'enabled',
  inverse: ({ adGroupId }) => ({ kind: 'archive-place', entity: 'ad-group', id: adGroupId }),
  check: ({ defaultBid }, limits) => checkBid(defaultBid, limits),
  touches: () => null,
  toMarket: ({ campaignId, name, defaultBid }, ids) => {
    const campaign = ids.campaign(campaignId);
    return campaign
      ? { do: 'create', entity: 'ad-groups', fields: { campaignId: campaign, name, defaultBid } }
      : null;
  },
  accepted: ({ adGroupId, defaultBid }) => ({
    does: 'adopt',
    entity: 'ad-group',
    id: adGroupId,
    values: { defaultBid },
  }),
};
