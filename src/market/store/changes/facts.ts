import type { OwnKind } from '../../../contract/market';

/** A refusal of one change: a closed code and a sentence. */
export interface Refusal {
  code: string;
  sentence: string;
}

export const refused = (code: string, sentence: string): Refusal => ({ code, sentence });

/** Fields of each kind that can be set when it is made (and must be, where true), and those that can be changed later. */
export const FIELDS: Record<OwnKind, { create: Record<string, boolean>; update: string[] }> = {
  campaigns: {
    create: {
      name: true,
      budget: true,
      budgetKind: false,
      pacing: false,
      flex: false,
      similar: false,
      startsOn: false,
      endsOn: false,
      top: false,
      rest: false,
      pages: false,
      state: false,
    },
    update: [
      'name',
      'state',
      'budget',
      'pacing',
      'flex',
      'similar',
      'startsOn',
      'endsOn',
      'top',
      'rest',
      'pages',
    ],
  },
  'ad-groups': {
    create: {
      campaignId: true,
      name: true,
      defaultBid: true,
      state: false,
      budget: false,
      startsOn: false,
      endsOn: false,
    },
    update: ['name', 'state', 'defaultBid', 'budget', 'startsOn', 'endsOn'],
  },
  ads: {
    create: { adGroupId: true, productId: true, titles: false, pictures: false, state: false },
    update: ['state', 'titles', 'pictures'],
  },
  targets: {
    create: {
      adGroupId: true,
      kind: true,
      match: false,
      expression: true,
      refine: false,
      bid: false,
      state: false,
    },
    update: ['state', 'bid'],
  },
  negatives: { create: { campaignId: true, adGroupId: false, match: true, expression: true }, update: [] },
  schedules: {
    create: { campaignId: true, name: true, week: true },
    update: ['name', 'week'],
  },
};
