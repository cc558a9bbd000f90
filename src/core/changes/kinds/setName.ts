import type { Named } from '../named';
import type { ChangeSpec } from './spec';

/** Gives a campaign or an ad group another name. */
export interface SetName {
  kind: 'set-name';
  entity: 'campaign' | 'ad-group';
  id: number;
  from: string;
  to: string;
}

export const setName: ChangeSpec<SetName> = {
  kind: 'set-name',
  shape: { entity: { oneOf: ['campaign', 'ad-group'] }, id: 'id', from: 'name', to: 'name' },
  byRequest: true,
  key: ({ entity, id }) => `name ${entity} ${id}`,
  words: ({ from, to }) => `Rename “${from}” to “${to}”`,
  group: () => 'Names',
  purpose: () => 'other',
  entities: ({ entity, id }): Named => (entity === 'campaign' ? { campaign: id } : { adGroup: id }),
  sets: 'name',
  makes: null,
  present: ({ campaign, adGroup }, { entity }) => (entity === 'campaign' ? campaign : adGroup)?.name ?? null,
  fromPresent: (change, present) => (typeof present === 'string' ? { ...change, from: present } : change),
  isChangedSince: ({ to }, present) => present !== null && present !== to,
  inverse: (change) => ({ ...change, from: change.to, to: change.from }),
  check: () => [],
  standsAlready: ({ to }, present) => (present === to ? 'It has this name already.' : null),
  touches: () => null,
  toMarket: ({ entity, id, to }, ids) => {
    const fields = { name: to };
    const campaign = entity === 'campaign' && ids.campaign(id);
    if (campaign) return { do: 'update', entity: 'campaigns', id: campaign, fields };
    const adGroup = entity === 'ad-group' && ids.adGroup(id);
    return adGroup ? { do: 'update', entity: 'ad-groups', id: adGroup, fields } : null;
  },
  accepted: ({ entity, id, to }) => ({ does: 'set', entity, id, values: { name: to } }),
};
