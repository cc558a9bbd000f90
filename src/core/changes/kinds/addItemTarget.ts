import { normaliseTerm } from '../../matching';
import type { Micros } from '../../units';
import { checkBid } from '../limits';
import type { ArchiveTarget } from './archiveTarget';
import { makesTarget } from './madeTarget';
import type { ChangeSpec } from './spec';

/** Bids on an item code in an ad group. */
export interface AddItemTarget {
  kind: 'add-item-target';
  adGroupId: number;
  expression: string;
  bid: Micros;
}

export const addItemTarget: ChangeSpec<AddItemTarget, ArchiveTarget> = {
  ...makesTarget<AddItemTarget>(({ expression }) => ({ kind: 'item', match: null, expression })),
  kind: 'add-item-target',
  shape: { adGroupId: 'id', expression: 'expression', bid: 'bid' },
  key: ({ adGroupId, expression }) => `item ${adGroupId} ${normaliseTerm(expression)}`,
  words: ({ expression }) => `Bid on item ${expression}`,
  group: () => 'New item targets',
  check: ({ bid }, limits) => checkBid(bid, limits),
};
