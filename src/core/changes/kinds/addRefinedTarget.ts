import { normaliseTerm } from '../../matching';
import { refinementKey, refinementWords } from '../../structure';
import type { Listing, Refinement } from '../../structure';
import type { Micros } from '../../units';
import { checkBid, checkRefinement } from '../limits';
import type { ArchiveTarget } from './archiveTarget';
import { makesTarget } from './madeTarget';
import type { ChangeSpec } from './spec';

/** Bids on the items of a category or brand, all of them or those that fit a refinement. */
export interface AddRefinedTarget {
  kind: 'add-refined-target';
  adGroupId: number;
  aim: 'category' | 'brand';
  expression: string;
  refine: Refinement | null;
  /** Price and rating of the own product that it was refined against; null where it was not. */
  against: Listing | null;
  bid: Micros;
}

export const addRefinedTarget: ChangeSpec<AddRefinedTarget, ArchiveTarget> = {
  ...makesTarget<AddRefinedTarget>(({ aim, expression, refine, against }) => ({
    kind: aim,
    match: null,
    expression,
    refine,
    against,
  })),
  kind: 'add-refined-target',
  shape: {
    adGroupId: 'id',
    aim: { oneOf: ['category', 'brand'] },
    expression: 'expression',
    refine: 'refinement',
    against: 'listing',
    bid: 'bid',
  },
  key: ({ adGroupId, aim, expression, refine }) =>
    `${aim} ${adGroupId} ${normaliseTerm(expression)} ${refinementKey(refine)}`,
  words: ({ aim, expression, refine }) =>
    `Bid on the ${aim} “${expression}”${refine ? ` (${refinementWords(refine)})` : ''}`,
  group: () => 'New item targets',
  check: ({ bid, refine }, limits) => [...checkBid(bid, limits), ...checkRefinement(refine)],
};
