import { OF_TARGETS } from './ofTargets';
import type { LensSpec } from './spec';

export const items: LensSpec<'items'> = {
  ...OF_TARGETS,
  name: 'items',
  label: 'Product targets',
  row: 'product target',
  rows: 'product targets',
  shows: ({ kind }) => kind === 'item' || kind === 'category' || kind === 'brand',
  hasWords: true,
};
