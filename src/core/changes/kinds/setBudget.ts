import { formatMoney } from '../../units';
import type { Micros } from '../../units';
import { checkBudget } from '../limits';
import { moved } from './moved';
import type { ChangeSpec } from './spec';

/** Sets the budget of a campaign. A value that was not known cannot come back. */
export interface SetBudget {
  kind: 'set-budget';
  campaignId: number;
  from: Micros | null;
  to: Micros;
}

export const setBudget: ChangeSpec<SetBudget> = {
  kind: 'set-budget',
  shape: { campaignId: 'id', from: 'budget or null', to: 'budget' },
  byRequest: true,
  key: ({ campaignId }) => `budget ${campaignId}`,
  words: ({ from, to }) => `${moved(from, to)} the budget ${formatMoney(from)} → ${formatMoney(to)}`,
  group: () => 'Budgets',
  purpose: () => 'budget',
  entities: ({ campaignId }) => ({ campaign: campaignId }),
  sets: 'budget',
  makes: null,
  moves: ({ campaignId, to }) => ({ what: 'budget', campaign: campaignId, to }),
  value: {
    read: ({ from, to }) => ({ from, to, unit: 'money', isBid: false }),
    write: (change, to) => ({ ...change, to }),
  },
  present: ({ campaign }) => campaign?.budget ?? null,
  fromPresent: (change, present) => (typeof present === 'number' ? { ...change, from: present } : change),
  isChangedSince: ({ to }, present) => present !== null && present !== to,
  inverse: (change) => (change.from === null ? null : { ...change, from: change.to, to: change.from }),
  check: ({ to }, limits) => checkBudget(to, limits),
  idleWhenPaused: true,
  touches: ({ campaignId }) => ({ campaign: campaignId }),
  toMarket: ({ campaignId, to }, ids) => {
    const id = ids.campaign(campaignId);
    return id ? { do: 'update', entity: 'campaigns', id, fields: { budget: to } } : null;
  },
  accepted: ({ campaignId, to }) => ({
    does: 'set',
    entity: 'campaign',
    id: campaignId,
    values: { budget: to },
  }),
};
