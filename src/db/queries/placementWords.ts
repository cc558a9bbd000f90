import { PLACEMENT_LABELS, PLACEMENTS } from '../../core/structure';

/** SQL for a placement in words, from the column that numbers it. */
export const placementWords = (column: string): string =>
  `(array[${PLACEMENTS.map((placement) => `'${PLACEMENT_LABELS[placement]}'`).join(', ')}])[${column} + 1]`;
