import type { ArchiveTarget } from './archiveTarget';
import type { Listing, Refinement } from '../../structure';
import type { Made } from '../named';
import type { MarketFields } from '../towardsMarket';
import type { ChangeSpec } from './spec';

/** What undoes a target that was made: it is ended. */
const endsMade = (_: unknown, { targetId }: Made): ArchiveTarget | null =>
  targetId === null ? null : { kind: 'archive-target', targetId };

type MakesTarget = { kind: string; adGroupId: number; bid: number };

/** What a made target bids on, in the market's words. */
type MadeTarget = Pick<MarketFields['targets'], 'kind' | 'match' | 'expression'> & {
  refine?: Refinement | null;
  against?: Listing | null;
};

/**
 * What all kinds that make a target share: it waits for its ad group, has a bid of its own, and is ended when undone.
 * @param targetOf what a change bids on
 */
export const makesTarget = <C extends MakesTarget>(targetOf: (change: C) => MadeTarget) =>
  ({
    byRequest: true,
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
    idleWhenPaused: true,
    touches: (_, { madeTargetId }) => ({ target: madeTargetId }),
    toMarket: (change, ids) => {
      const place = ids.adGroup(change.adGroupId);
      const { against: _, ...target } = targetOf(change);
      return place
        ? { do: 'create', entity: 'targets', fields: { adGroupId: place, ...target, bid: change.bid } }
        : null;
    },
    accepted: (change) => ({
      does: 'make-target',
      adGroupId: change.adGroupId,
      ...targetOf(change),
      bid: change.bid,
    }),
  }) satisfies Partial<ChangeSpec<C, ArchiveTarget>>;
