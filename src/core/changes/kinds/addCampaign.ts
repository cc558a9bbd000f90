import { formatMoney } from '../../units';
import type { Micros } from '../../units';
import { checkBudget } from '../limits';
import type { ArchivePlace } from './archivePlace';
import type { ChangeSpec } from './spec';

/** Makes a campaign; the id is that of our draft. */
export interface AddCampaign {
  kind: 'add-campaign';
  campaignId: number;
  name: string;
  budget: Micros;
}

export const addCampaign: ChangeSpec<AddCampaign, ArchivePlace> = {
  kind: 'add-campaign',
  shape: { campaignId: 'id', name: 'name', budget: 'budget' },
  byRequest: false,
  key: ({ campaignId }) => `campaign ${campaignId}`,
  words: ({ name, budget }) => `Make the campaign “${name}”, ${formatMoney(budget)} a day`,
  group: () => 'Campaigns and ad groups',
  purpose: () => 'made',
  entities: ({ campaignId }) => ({ campaign: campaignId }),
  sets: null,
  makes: 'campaign',
  value: {
    read: ({ budget }) => ({ from: null, to: budget, unit: 'money', isBid: false }),
    write: (change, budget) => ({ ...change, budget }),
  },
  present: ({ campaign }) => campaign?.state ?? null,
  isChangedSince: (_, present) => present !== 'enabled',
  inverse: ({ campaignId }) => ({ kind: 'archive-place', entity: 'campaign', id: campaignId }),
  check: ({ budget }, limits) => checkBudget(budget, limits),
  touches: () => null,
  toMarket: ({ name, budget }) => ({ do: 'create', entity: 'campaigns', fields: { name, budget } }),
  accepted: ({ campaignId, budget }) => ({
    does: 'adopt',
    entity: 'campaign',
    id: campaignId,
    values: { budget },
  }),
};
