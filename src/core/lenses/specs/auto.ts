import { OF_TARGETS } from './ofTargets';
import type { LensSpec } from './spec';

export const auto: LensSpec<'auto'> = {
  ...OF_TARGETS,
  name: 'auto',
  label: 'Auto targets',
  row: 'auto target',
  rows: 'auto targets',
  // What a report does not name a target for was caught by something: it is shown here rather than nowhere.
  shows: ({ kind }) => kind === 'auto' || kind === 'unknown',
  hasWords: false,
};
