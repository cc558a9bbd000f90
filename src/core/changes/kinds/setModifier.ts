import { PLACEMENT_LABELS, PLACEMENTS } from '../../structure';
import type { Placement } from '../../structure';
import { formatShare } from '../../units';
import { checkModifier } from '../limits';
import type { ChangeSpec } from './spec';

/** Sets by how much a campaign's bids are raised at a placement, shares. */
export interface SetModifier {
  kind: 'set-modifier';
  campaignId: number;
  placement: Placement;
  from: number;
  to: number;
}

export const setModifier: ChangeSpec<SetModifier> = {
  kind: 'set-modifier',
  shape: {
    campaignId: 'id',
    placement: { oneOf: PLACEMENTS },
    from: 'modifier',
    to: 'modifier',
  },
  byRequest: true,
  key: ({ campaignId, placement }) => `modifier ${campaignId} ${placement}`,
  words: ({ placement, from, to }) =>
    `Modifier at ${PLACEMENT_LABELS[placement]} ${formatShare(from, 0)} → ${formatShare(to, 0)}`,
  group: () => 'Placement modifiers',
  purpose: () => 'modifier',
  entities: ({ campaignId }) => ({ campaign: campaignId }),
  sets: 'modifier',
  makes: null,
  moves: ({ campaignId, placement, to }) => ({ what: 'modifier', campaign: campaignId, placement, to }),
  value: {
    read: ({ from, to }) => ({ from, to, unit: 'share', isBid: false }),
    write: (change, to) => ({ ...change, to }),
  },
  present: ({ campaign }, { placement }) => campaign?.[placement] ?? null,
  fromPresent: (change, present) => (typeof present === 'number' ? { ...change, from: present } : change),
  isChangedSince: ({ to }, present) => present !== null && present !== to,
  inverse: (change) => ({ ...change, from: change.to, to: change.from }),
  check: ({ to }) => checkModifier(to),
  idleWhenPaused: true,
  touches: ({ campaignId }) => ({ campaign: campaignId }),
  toMarket: ({ campaignId, placement, to }, ids) => {
    const id = ids.campaign(campaignId);
    return id ? { do: 'update', entity: 'campaigns', id, fields: { [placement]: to } } : null;
  },
  accepted: ({ campaignId, placement, to }) => ({
    does: 'set',
    entity: 'campaign',
    id: campaignId,
    values: { [placement]: to },
  }),
};
