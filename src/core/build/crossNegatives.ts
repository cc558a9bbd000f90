import { onceByForm } from '../matching';
import type { PlannedCampaign, PlannedNegative } from './planned';
import type { PartName } from './parts';

/** What is kept out of where: the parts that find things by themselves are not to take what another part bids on by name. */
const BLOCKED: readonly { from: PartName; in: readonly PartName[]; match: 'exact' | 'item' }[] = [
  { from: 'exact', in: ['auto', 'broad', 'phrase'], match: 'exact' },
  { from: 'rivals', in: ['auto', 'categories', 'brands'], match: 'item' },
  { from: 'own', in: ['auto', 'categories', 'brands'], match: 'item' },
];

/** One field of the matrix: what one part bids on, kept out of another. */
export interface Crossing {
  /** "exact > auto" */
  key: string;
  from: PartName;
  in: PartName;
  match: 'exact' | 'item';
  /** Terms or items of the one part. */
  count: number;
  /** Campaigns of the other that get them. */
  campaigns: number;
  isOn: boolean;
}

const keyOf = (from: PartName, into: PartName) => `${from} > ${into}`;

type WithTargets = Pick<PlannedCampaign, 'part' | 'targets'>;

function namedBy(campaigns: readonly WithTargets[], from: PartName): string[] {
  const texts = campaigns.flatMap(({ part, targets }) =>
    part === from ? targets.map(({ expression }) => expression) : [],
  );
  return onceByForm(texts, (text) => text);
}

/** The matrix of a plan: every pair of its parts of which one can take what the other bids on. */
export function crossings(campaigns: readonly WithTargets[], uncrossed: readonly string[]): Crossing[] {
  return BLOCKED.flatMap(({ from, in: places, match }) => {
    const count = namedBy(campaigns, from).length;
    return places.flatMap((into) => {
      const there = campaigns.filter(({ part }) => part === into).length;
      if (count === 0 || there === 0) return [];
      const key = keyOf(from, into);
      return [{ key, from, in: into, match, count, campaigns: there, isOn: !uncrossed.includes(key) }];
    });
  });
}

/** The negatives of each campaign, in the order given. */
export function crossNegatives(
  campaigns: readonly WithTargets[],
  uncrossed: readonly string[],
): PlannedNegative[][] {
  const texts = new Map(BLOCKED.map(({ from }) => [from, namedBy(campaigns, from)]));
  return campaigns.map(({ part }) =>
    BLOCKED.flatMap(({ from, in: places, match }) =>
      places.includes(part) && !uncrossed.includes(keyOf(from, part))
        ? texts.get(from)!.map((expression) => ({ match, expression }))
        : [],
    ),
  );
}
