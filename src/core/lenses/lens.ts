import type { Target } from '../structure';

/** The eight ways of looking at an account's figures that are offered. */
export const LENS_NAMES = [
  'keywords',
  'items',
  'auto',
  'terms',
  'placements',
  'campaigns',
  'ad-groups',
  'products',
] as const;
/** Beside them all targets whatever they are, as the steps that tune bids go through them. */
export type LensName = (typeof LENS_NAMES)[number] | 'targets';

/** Which daily facts a lens is summed from. */
export type LensGrain = 'target' | 'term' | 'placement';

/** What the value that can be changed in a row is. */
export type LensValue = 'bid' | 'budget' | 'modifier' | 'price' | 'none';

/** A lens as data. */
export interface Lens {
  name: LensName;
  label: string;
  /** One row of it, and several. */
  row: string;
  rows: string;
  grain: LensGrain;
  value: LensValue;
  /** Which targets it shows; null for lenses whose rows are not targets. */
  shows: ((target: Target) => boolean) | null;
}

/** In the order in which they are offered. */
export const LENSES: readonly Lens[] = [
  {
    name: 'keywords',
    label: 'Keywords',
    row: 'keyword',
    rows: 'keywords',
    grain: 'target',
    value: 'bid',
    shows: ({ kind }) => kind === 'keyword',
  },
  {
    name: 'items',
    label: 'Product targets',
    row: 'product target',
    rows: 'product targets',
    grain: 'target',
    value: 'bid',
    shows: ({ kind }) => kind === 'item' || kind === 'category' || kind === 'brand',
  },
  {
    name: 'auto',
    label: 'Auto targets',
    row: 'auto target',
    rows: 'auto targets',
    grain: 'target',
    value: 'bid',
    // What a report does not name a target for was caught by something: it is shown here rather than nowhere.
    shows: ({ kind }) => kind === 'auto' || kind === 'unknown',
  },
  {
    name: 'terms',
    label: 'Search terms',
    row: 'search term',
    rows: 'search terms',
    grain: 'term',
    value: 'none',
    shows: null,
  },
  {
    name: 'placements',
    label: 'Placements',
    row: 'placement',
    rows: 'placements',
    grain: 'placement',
    value: 'modifier',
    shows: null,
  },
  {
    name: 'campaigns',
    label: 'Campaigns',
    row: 'campaign',
    rows: 'campaigns',
    grain: 'target',
    value: 'budget',
    shows: null,
  },
  {
    name: 'ad-groups',
    label: 'Ad groups',
    row: 'ad group',
    rows: 'ad groups',
    grain: 'target',
    value: 'bid',
    shows: null,
  },
  {
    name: 'products',
    label: 'Products',
    row: 'product',
    rows: 'products',
    grain: 'target',
    value: 'price',
    shows: null,
  },
];

const ALL_TARGETS: Lens = {
  name: 'targets',
  label: 'Targets',
  row: 'target',
  rows: 'targets',
  grain: 'target',
  value: 'bid',
  shows: () => true,
};

/** The lens with this name. */
export function lensNamed(name: LensName): Lens {
  return LENSES.find((lens) => lens.name === name) ?? ALL_TARGETS;
}
