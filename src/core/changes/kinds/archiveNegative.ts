import { touchesCaught } from './caught';
import type { ChangeSpec } from './spec';

/** Lifts a negative: final on a market. */
export interface ArchiveNegative {
  kind: 'archive-negative';
  negativeId: number;
}

export const archiveNegative: ChangeSpec<ArchiveNegative> = {
  kind: 'archive-negative',
  shape: { negativeId: 'id' },
  byRequest: true,
  key: ({ negativeId }) => `archive negative ${negativeId}`,
  words: () => 'Lift the negative',
  group: () => 'Ended and lifted',
  purpose: () => 'other',
  entities: ({ negativeId }) => ({ negative: negativeId }),
  sets: null,
  makes: null,
  present: ({ negative }) => negative?.state ?? null,
  isChangedSince: () => false,
  inverse: () => null,
  check: () => [],
  standsAlready: (_, present) => (present === 'archived' ? 'It has already ended.' : null),
  touches: touchesCaught,
  toMarket: ({ negativeId }, ids) => {
    const id = ids.negative(negativeId);
    return id ? { do: 'archive', entity: 'negatives', id } : null;
  },
  accepted: ({ negativeId }) => ({
    does: 'set',
    entity: 'negative',
    id: negativeId,
    values: { state: 'archived' },
  }),
};
