import type { ArchiveTarget } from './archiveTarget';
import type { Made } from '../named';
import type { ChangeSpec } from './spec';

/** What undoes a target that was made: it is ended. */
const endsMade = (_: unknown, { targetId }: Made): ArchiveTarget | null =>
  targetId === null ? null : { kind: 'archive-target', targetId };

type MakesTarget = { kind: string; adGroupId: number; bid: number };

/** What all kinds that make a target share: it waits for its ad group, has a bid of its own, and is ended when undone. */
export const makesTarget = <C extends MakesTarget>() =>
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
  }) satisfies Partial<ChangeSpec<C, ArchiveTarget>>;
