import { normaliseTerm } from '../../matching';
import type { KeywordMatch } from '../../matching';
import type { Micros } from '../../units';
import { checkBid, checkWords } from '../limits';
import type { ArchiveTarget } from './archiveTarget';
import { endsMade } from './madeTarget';
import type { ChangeSpec } from './spec';

/** Bids on words in an ad group. */
export interface AddKeyword {
  kind: 'add-keyword';
  adGroupId: number;
  expression: string;
  match: KeywordMatch;
  bid: Micros;
}

export const addKeyword: ChangeSpec<AddKeyword, ArchiveTarget> = {
  kind: 'add-keyword',
  shape: {
    adGroupId: 'id',
    expression: 'expression',
    match: { oneOf: ['exact', 'phrase', 'broad'] },
    bid: 'bid',
  },
  byRequest: true,
  key: ({ adGroupId, match, expression }) => `keyword ${adGroupId} ${match} ${normaliseTerm(expression)}`,
  words: ({ expression, match }) => `Bid on “${expression}” (${match})`,
  group: () => 'New keywords',
  purpose: () => 'harvest',
  entities: ({ adGroupId }) => ({ adGroup: adGroupId }),
  sets: null,
  makes: 'target',
  goesInto: ({ adGroupId }) => adGroupId,
  value: {
    read: ({ bid }) => ({ from: null, to: bid, unit: 'money', isBid: true }),
    write: (change, bid) => ({ ...change, bid }),
  },
  present: ({ made }) => made,
  isChangedSince: (_, present) => present !== 'enabled',
  inverse: endsMade,
  check: ({ bid, expression }, limits) => [...checkBid(bid, limits), ...checkWords(expression, limits)],
  idleWhenPaused: true,
  adds: ({ adGroupId, expression }) => ({ adGroupId, expression }),
  touches: (_, { madeTargetId }) => ({ target: madeTargetId }),
  toMarket: ({ adGroupId, match, expression, bid }, ids) => {
    const place = ids.adGroup(adGroupId);
    return place
      ? {
          do: 'create',
          entity: 'targets',
          fields: { adGroupId: place, kind: 'keyword', match, expression, bid },
        }
      : null;
  },
  accepted: ({ adGroupId, match, expression, bid }) => ({
    does: 'make-target',
    adGroupId,
    kind: 'keyword',
    match,
    expression,
    bid,
  }),
};
