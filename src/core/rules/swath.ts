import { lensNamed } from '../lenses';
import type { LensEntity, LensName } from '../lenses';
import type { RuleWork } from './works';

/** A stack of conditions that a rule works in: its own copy, so that it does what it was tried with whatever becomes of the swath. */
export interface RuleSwath {
  name: string;
  lens: LensName;
  /** Each as in a link: "acos>=40" (per cent), or several to choose from, parted by "|". */
  conditions: string[];
  /** The days that its figures are of, in words ("last60" to "settled") or fixed; null: the usual window. */
  from: string | null;
  to: string | null;
}

/** What a rule moves, or puts something into. */
export type Subject = 'target' | 'term' | 'campaign' | 'ad-group';

/** What each work is on; a growth plan chooses its campaigns by itself. */
const SUBJECTS: Record<Exclude<RuleWork, 'growth'>, Subject> = {
  dead: 'target',
  bids: 'target',
  'by hand': 'target',
  negatives: 'term',
  harvest: 'term',
  'new terms': 'ad-group',
  placements: 'campaign',
  budgets: 'campaign',
  hours: 'campaign',
};

/** What is in a swath when a row of it is: the row itself, or all that lies below it. */
const HOLDS: Record<LensEntity, readonly Subject[]> = {
  target: ['target'],
  term: ['term'],
  placement: [],
  'ad-group': ['ad-group', 'target', 'term'],
  campaign: ['campaign', 'ad-group', 'target', 'term'],
  product: ['campaign', 'ad-group', 'target', 'term'],
};

/** Whether the rows of a lens hold what a work is on. */
export const swathHolds = (lens: LensName, work: RuleWork): boolean =>
  work !== 'growth' && HOLDS[lensNamed(lens).entity].includes(SUBJECTS[work]);
