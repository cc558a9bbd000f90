import type { ChangeSpec } from './spec';

/** Ends a target: final on a market. */
export interface ArchiveTarget {
  kind: 'archive-target';
  targetId: number;
}

export const archiveTarget: ChangeSpec<ArchiveTarget> = {
  kind: 'archive-target',
  shape: { targetId: 'id' },
  byRequest: false,
  key: ({ targetId }) => `archive target ${targetId}`,
  words: () => 'End the target',
  group: () => 'Ended and lifted',
  purpose: () => 'other',
  entities: ({ targetId }) => ({ target: targetId }),
  sets: null,
  makes: null,
  present: ({ target }) => target?.state ?? null,
  isChangedSince: () => false,
  inverse: () => null,
  check: () => [],
  standsAlready: (_, present) => (present === 'archived' ? 'It has already ended.' : null),
  stops: ({ targetId }) => ({ entity: 'target', id: targetId, how: 'end' }),
  touches: ({ targetId }) => ({ target: targetId }),
  toMarket: ({ targetId }, ids) => {
    const id = ids.target(targetId);
    return id ? { do: 'archive', entity: 'targets', id } : null;
  },
  accepted: ({ targetId }) => ({
    does: 'set',
    entity: 'target',
    id: targetId,
    values: { state: 'archived' },
  }),
};
