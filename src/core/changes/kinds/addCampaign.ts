import { formatMoney } from '../../units';
import type { Micros } from '../../units';
import { checkBudget, checkDates, checkModifier } from '../limits';
import type { ArchivePlace } from './archivePlace';
import { FLEXES, PACINGS, SIMILAR } from './campaignFields';
import type { CampaignFields } from './campaignFields';
import type { ChangeSpec } from './spec';

/** Makes a campaign; the id is that of our draft. */
export interface AddCampaign extends CampaignFields {
  kind: 'add-campaign';
  campaignId: number;
  name: string;
  budget: Micros;
}

const budgetWords = ({ budget, budgetKind }: AddCampaign) =>
  `${formatMoney(budget)} ${budgetKind === 'lifetime' ? 'in all' : 'a day'}`;

export const addCampaign: ChangeSpec<AddCampaign, ArchivePlace> = {
  kind: 'add-campaign',
  shape: {
    campaignId: 'id',
    name: 'name',
    budget: 'budget',
    budgetKind: { oneOf: ['daily', 'lifetime'] },
    pacing: { oneOf: PACINGS },
    flex: { oneOf: FLEXES },
    similar: { oneOf: SIMILAR },
    startsOn: 'day or null',
    endsOn: 'day or null',
    top: 'modifier',
    rest: 'modifier',
    pages: 'modifier',
    state: { oneOf: ['enabled', 'paused'] },
  },
  byRequest: false,
  key: ({ campaignId }) => `campaign ${campaignId}`,
  words: (change) => `Make the campaign “${change.name}”, ${budgetWords(change)}`,
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
  isChangedSince: ({ state }, present) => present !== state,
  inverse: ({ campaignId }) => ({ kind: 'archive-place', entity: 'campaign', id: campaignId }),
  check: ({ budget, startsOn, endsOn, ...rest }, limits) => [
    ...checkBudget(budget, limits),
    ...checkDates(startsOn, endsOn),
    ...[rest.top, rest.rest, rest.pages].flatMap(checkModifier),
  ],
  touches: () => null,
  toMarket: ({ kind: _, campaignId: __, startsOn, ...fields }) => ({
    do: 'create',
    entity: 'campaigns',
    fields: { ...fields, ...(startsOn !== null && { startsOn }) },
  }),
  accepted: ({ kind: _, campaignId, name: __, ...values }) => ({
    does: 'adopt',
    entity: 'campaign',
    id: campaignId,
    values,
  }),
};
