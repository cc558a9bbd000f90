import { normaliseTerm } from '../../matching';
import type { KeywordMatch } from '../../matching';
import type { Micros } from '../../units';
import { checkBid, checkWords } from '../limits';
import type { ArchiveTarget } from './archiveTarget';
import { makesTarget } from './madeTarget';
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
  ...makesTarget<AddKeyword>(({ match, expression }) => ({ kind: 'keyword', match, expression })),
  kind: 'add-keyword',
  shape: {
    adGroupId: 'id',
    expression: 'expression',
    match: { oneOf: ['exact', 'phrase', 'broad'] },
    bid: 'bid',
  },
  key: ({ adGroupId, match, expression }) => `keyword ${adGroupId} ${match} ${normaliseTerm(expression)}`,
  words: ({ expression, match }) => `Bid on “${expression}” (${match})`,
  group: () => 'New keywords',
  check: ({ bid, expression }, limits) => [...checkBid(bid, limits), ...checkWords(expression, limits)],
  adds: ({ adGroupId, expression }) => ({ adGroupId, expression }),
};
