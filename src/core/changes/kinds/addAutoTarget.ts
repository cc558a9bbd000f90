import { normaliseTerm } from '../../matching';
import type { Micros } from '../../units';
import { checkBid } from '../limits';
import type { ArchiveTarget } from './archiveTarget';
import { makesTarget } from './madeTarget';
import type { ChangeSpec } from './spec';

/** Bids on one of the market's automatic groups in an ad group. */
export interface AddAutoTarget {
  kind: 'add-auto-target';
  adGroupId: number;
  /** The group, as the market names it. */
  expression: string;
  bid: Micros;
}

export const addAutoTarget: ChangeSpec<AddAutoTarget, ArchiveTarget> = {
  ...makesTarget<AddAutoTarget>(({ expression }) => ({ kind: 'auto', match: null, expression })),
  kind: 'add-auto-target',
  shape: { adGroupId: 'id', expression: 'expression', bid: 'bid' },
  key: ({ adGroupId, expression }) => `auto ${adGroupId} ${normaliseTerm(expression)}`,
  words: ({ expression }) => `Bid on ${expression} (automatic)`,
  group: () => 'New automatic targets',
  check: ({ bid }, limits) => checkBid(bid, limits),
};
