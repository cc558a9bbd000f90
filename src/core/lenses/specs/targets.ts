import { OF_TARGETS } from './ofTargets';
import type { LensSpec } from './spec';

/** All targets whatever they are, in the field and as the steps that tune bids go through them. */
export const targets: LensSpec<'targets'> = {
  ...OF_TARGETS,
  name: 'targets',
  label: 'All targets',
  row: 'target',
  rows: 'targets',
  shows: () => true,
  hasWords: true,
};
