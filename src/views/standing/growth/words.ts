import type { Stage } from '../../../contract/growth';

export const STAGE_LABELS: Record<Stage, string> = { find: 'Find', tune: 'Tune', grow: 'Grow' };

export const STAGE_DOES: Record<Stage, string> = {
  find: 'tries terms, and gives up what had its chance',
  tune: 'what sold, its bids on the way to the range',
  grow: 'in the range: money goes where the next of it sells most',
};
