import { formatMoney } from '../../units';
import type { Micros } from '../../units';
import { checkBudget } from '../limits';
import type { ChangeSpec } from './spec';

/** Gives an ad group a part of its campaign's budget; null: it spends from the campaign's like the others. */
export interface SetAdGroupBudget {
  kind: 'set-ad-group-budget';
  adGroupId: number;
  from: Micros | null;
  to: Micros | null;
}

const told = (budget: Micros | null) => (budget === null ? 'none of its own' : formatMoney(budget));

export const setAdGroupBudget: ChangeSpec<SetAdGroupBudget> = {
  kind: 'set-ad-group-budget',
  shape: { adGroupId: 'id', from: 'budget or null', to: 'budget or null' },
  byRequest: true,
  key: ({ adGroupId }) => `ad group budget ${adGroupId}`,
  words: ({ from, to }) => `Budget of the ad group ${told(from)} → ${told(to)}`,
  group: () => 'Budgets',
  purpose: () => 'budget',
  entities: ({ adGroupId }) => ({ adGroup: adGroupId }),
  sets: 'budget',
  makes: null,
  present: ({ adGroup }) => adGroup?.budget ?? null,
  fromPresent: (change, present) => ({ ...change, from: typeof present === 'number' ? present : null }),
  isChangedSince: ({ to }, present) => present !== to,
  inverse: (change) => ({ ...change, from: change.to, to: change.from }),
  check: ({ to }, limits) => (to === null ? [] : checkBudget(to, limits)),
  standsAlready: ({ to }, present) => (present === to ? 'It has this budget already.' : null),
  idleWhenPaused: true,
  touches: ({ adGroupId }) => ({ adGroup: adGroupId }),
  toMarket: ({ adGroupId, to }, ids) => {
    const id = ids.adGroup(adGroupId);
    return id ? { do: 'update', entity: 'ad-groups', id, fields: { budget: to } } : null;
  },
  accepted: ({ adGroupId, to }) => ({
    does: 'set',
    entity: 'ad-group',
    id: adGroupId,
    values: { budget: to },
  }),
};
