import type { Finding, FindingSpec } from './finding';
import type { Given } from './given';
import { crowded } from './kinds/crowded';
import { missingPart } from './kinds/missingPart';
import { mixedMatch } from './kinds/mixedMatch';
import { neverShown } from './kinds/neverShown';
import { noRoute } from './kinds/noRoute';
import { notBlocked } from './kinds/notBlocked';
import { sharedBudget } from './kinds/sharedBudget';
import { stillCampaign } from './kinds/stillCampaign';
import { takesMost } from './kinds/takesMost';
import { twiceExact } from './kinds/twiceExact';
import { unlikeMargins } from './kinds/unlikeMargins';

export { sumsBy } from './given';
export type { CaughtTerm, FoundSums, Given } from './given';
export type { Finding, FindingSpec } from './finding';

/** Every sort of finding. A new one is a file beside these and a line here. */
export const FINDING_KINDS: readonly FindingSpec[] = [
  twiceExact,
  notBlocked,
  noRoute,
  missingPart,
  takesMost,
  crowded,
  sharedBudget,
  mixedMatch,
  unlikeMargins,
  neverShown,
  stillCampaign,
];

/** What is found in a structure, the most money first; of equal money in the order of the kinds. */
export function findAll(given: Given): (Finding & { kind: string })[] {
  return FINDING_KINDS.flatMap(({ kind, find }) => find(given).map((one) => ({ ...one, kind }))).sort(
    (a, b) => b.money - a.money,
  );
}
