import { OF_TARGETS } from './ofTargets';
import type { LensSpec } from './spec';

export const keywords: LensSpec<'keywords'> = {
  ...OF_TARGETS,
  name: 'keywords',
  label: 'Keywords',
  row: 'keyword',
  rows: 'keywords',
  shows: ({ kind }) => kind === 'keyword',
  hasWords: true,
};
