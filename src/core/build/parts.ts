import type { KeywordMatch } from '../matching';
import type { Target } from '../structure';

/** What a part of a product's campaigns bids on. */
export const PART_NAMES = [
  'auto',
  'broad',
  'phrase',
  'exact',
  'rivals',
  'own',
  'categories',
  'brands',
] as const;
export type PartName = (typeof PART_NAMES)[number];

/** What is known of a part. */
export interface PartSpec {
  name: PartName;
  label: string;
  does: string;
  /** The match type of its keywords; null where it has none. */
  match: KeywordMatch | null;
  /** What stands in it, told by a target and whether its item is one of our own. */
  holds: (target: Pick<Target, 'kind' | 'match'>, isOwn: boolean) => boolean;
  /** Whether it bids on items, categories or brands: not every market takes that. */
  isOnItems: boolean;
}

const keywords = (match: KeywordMatch, does: string): PartSpec => ({
  name: match,
  label: `${match.charAt(0).toUpperCase()}${match.slice(1)} keywords`,
  does,
  match,
  holds: (target) => target.match === match,
  isOnItems: false,
});

/** The parts in the order in which they are shown and made. */
export const PARTS: readonly PartSpec[] = [
  {
    name: 'auto',
    label: 'Automatic',
    does: 'finds terms and items by itself',
    match: null,
    holds: ({ kind }) => kind === 'auto',
    isOnItems: false,
  },
  keywords('broad', 'finds terms around known words'),
  keywords('phrase', 'finds terms that hold known words'),
  keywords('exact', 'bids on what has sold'),
  {
    name: 'rivals',
    label: 'Items of rivals',
    does: 'stands beside rivals',
    match: null,
    holds: ({ kind }, isOwn) => kind === 'item' && !isOwn,
    isOnItems: true,
  },
  {
    name: 'own',
    label: 'Own items',
    does: 'keeps rivals off its own pages',
    match: null,
    holds: ({ kind }, isOwn) => kind === 'item' && isOwn,
    isOnItems: true,
  },
  {
    name: 'categories',
    label: 'Categories',
    does: 'stands beside a category’s items',
    match: null,
    holds: ({ kind }) => kind === 'category',
    isOnItems: true,
  },
  {
    name: 'brands',
    label: 'Brands',
    does: 'stands beside a brand’s items',
    match: null,
    holds: ({ kind }) => kind === 'brand',
    isOnItems: true,
  },
];

/** Whether a market takes what a part bids on. */
export const isOffered = (
  { match, isOnItems }: PartSpec,
  offers: { matches: readonly KeywordMatch[]; productTargets: boolean },
): boolean => (match === null || offers.matches.includes(match)) && (!isOnItems || offers.productTargets);

const BY_NAME = new Map(PARTS.map((part) => [part.name, part]));
export const partNamed = (name: PartName): PartSpec => BY_NAME.get(name)!;

/** The part that a target stands in; undefined for reports that do not tell what it aims at. */
export const partOf = (target: Pick<Target, 'kind' | 'match'>, isOwn: boolean): PartName | undefined =>
  PARTS.find(({ holds }) => holds(target, isOwn))?.name;
