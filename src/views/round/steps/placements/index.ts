import { PLACEMENTS_NAME, PlacementStep, usePlacementWork } from '../../placements';
import type { PlacementWork } from '../../placements';
import type { RoundStep } from '../step';
import { SALES_TO_GAIN } from '../../../shared/words';

export const placements: RoundStep<PlacementWork> = {
  name: PLACEMENTS_NAME,
  label: 'Placements',
  money: SALES_TO_GAIN,
  purpose: 'modifier',
  keys: [
    ['a', 'placements: accept the whole step, after a summary'],
    ['h', 'placements: set modifiers of the chosen campaigns by hand'],
    ['[ ]', 'placements: modifier at the top −5 or +5'],
  ],
  work: { useWork: usePlacementWork },
  Step: PlacementStep,
  hasEvidence: true,
};
