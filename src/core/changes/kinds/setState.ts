import type { State } from '../../structure';
import type { ChangeSpec } from './spec';
import type { Named } from '../named';

/** Entities that can be paused and resumed. */
export type Pausable = 'campaign' | 'ad-group' | 'target';

/** Pauses or resumes a campaign, an ad group or a target. */
export interface SetState {
  kind: 'set-state';
  entity: Pausable;
  id: number;
  from: State;
  to: 'enabled' | 'paused';
}

const plain = ({ entity }: SetState) => entity.replace('-', ' ');

export const setState: ChangeSpec<SetState> = {
  kind: 'set-state',
  shape: {
    entity: { oneOf: ['campaign', 'ad-group', 'target'] },
    id: 'id',
    from: { oneOf: ['enabled', 'paused'] },
    to: { oneOf: ['enabled', 'paused'] },
  },
  byRequest: true,
  key: ({ entity, id }) => `state ${entity} ${id}`,
  words: (change) => `${change.to === 'paused' ? 'Pause' : 'Resume'} the ${plain(change)}`,
  group: ({ to }) => (to === 'paused' ? 'Paused' : 'Resumed'),
  purpose: (_, step) => (step === 'dead' ? 'dead' : 'state'),
  entities: ({ entity, id }): Named =>
    ({ campaign: { campaign: id }, 'ad-group': { adGroup: id }, target: { target: id } })[entity],
  sets: 'state',
  makes: null,
  present: ({ campaign, adGroup, target }, { entity }) =>
    ({ campaign, 'ad-group': adGroup, target })[entity]?.state ?? null,
  fromPresent: (change, present) =>
    present === 'enabled' || present === 'paused' ? { ...change, from: present } : change,
  isChangedSince: ({ to }, present) => present !== null && present !== to,
  inverse: ({ from, to, ...rest }) =>
    from === 'enabled' || from === 'paused' ? { ...rest, from: to, to: from } : null,
  check: () => [],
  standsAlready: ({ to }, present) => (present === to ? `It is ${to} already.` : null),
  stops: ({ entity, id, to }) => (to === 'paused' ? { entity, id, how: 'pause' } : null),
  touches: ({ entity, id }) =>
    ({ campaign: { campaign: id }, 'ad-group': { adGroup: id }, target: { target: id } })[entity],
  toMarket: ({ entity, id, to }, ids) => {
    const fields = { state: to };
    const campaign = entity === 'campaign' && ids.campaign(id);
    if (campaign) return { do: 'update', entity: 'campaigns', id: campaign, fields };
    const adGroup = entity === 'ad-group' && ids.adGroup(id);
    if (adGroup) return { do: 'update', entity: 'ad-groups', id: adGroup, fields };
    const target = entity === 'target' && ids.target(id);
    return target ? { do: 'update', entity: 'targets', id: target, fields } : null;
  },
  accepted: ({ entity, id, to }) => ({ does: 'set', entity, id, values: { state: to } }),
};
