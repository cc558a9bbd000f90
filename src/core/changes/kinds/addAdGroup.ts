import { formatMoney } from '../../units';
import type { Day, Micros } from '../../units';
import { checkBid, checkBudget, checkDates } from '../limits';
import type { ArchivePlace } from './archivePlace';
import type { ChangeSpec } from './spec';

/** Makes an ad group; the id is that of our draft. */
export interface AddAdGroup {
  kind: 'add-ad-group';
  adGroupId: number;
  campaignId: number;
  name: string;
  defaultBid: Micros;
  /** A part of its campaign's budget, and days of its own; null: the campaign's. */
  budget: Micros | null;
  startsOn: Day | null;
  endsOn: Day | null;
}

/** An ad group of which nothing else is said. */
export const USUAL_AD_GROUP = { budget: null, startsOn: null, endsOn: null } as const;

export const addAdGroup: ChangeSpec<AddAdGroup, ArchivePlace> = {
  kind: 'add-ad-group',
  shape: {
    adGroupId: 'id',
    campaignId: 'id',
    name: 'name',
    defaultBid: 'bid',
    budget: 'budget or null',
    startsOn: 'day or null',
    endsOn: 'day or null',
  },
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
  check: ({ defaultBid, budget, startsOn, endsOn }, limits) => [
    ...checkBid(defaultBid, limits),
    ...(budget === null ? [] : checkBudget(budget, limits)),
    ...checkDates(startsOn, endsOn),
  ],
  touches: () => null,
  toMarket: ({ campaignId, name, defaultBid, budget, startsOn, endsOn }, ids) => {
    const campaign = ids.campaign(campaignId);
    const own = { ...(budget && { budget }), ...(startsOn && { startsOn }), ...(endsOn && { endsOn }) };
    return campaign
      ? { do: 'create', entity: 'ad-groups', fields: { campaignId: campaign, name, defaultBid, ...own } }
      : null;
  },
  accepted: ({ adGroupId, defaultBid, budget, startsOn, endsOn }) => ({
    does: 'adopt',
    entity: 'ad-group',
    id: adGroupId,
    values: { defaultBid, budget, startsOn, endsOn },
  }),
};
