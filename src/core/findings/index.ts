import type { Finding, FindingSpec } from './finding';
import type { Given } from './given';
import { crowded } from './kinds/crowded';
import { missingPart } from './kinds/missingPart';
import { mixedGroups } from './kinds/mixedGroups';
import { mixedMatch } from './kinds/mixedMatch';
import { neverShown } from './kinds/neverShown';
import { noRoute } from './kinds/noRoute';
import { noStock } from './kinds/noStock';
import { notBlocked } from './kinds/notBlocked';
import { offPattern } from './kinds/offPattern';
import { refinedAgainst } from './kinds/refinedAgainst';
import { ruledSet } from './kinds/ruledSet';
import { sharedBudget } from './kinds/sharedBudget';
import { stillCampaign } from './kinds/stillCampaign';
import { takesMost } from './kinds/takesMost';
import { twiceExact } from './kinds/twiceExact';
import { underRange } from './kinds/underRange';
import { unlikeMargins } from './kinds/unlikeMargins';

export { sumsBy } from './given';
export type { CaughtTerm, FoundSums, Given, RefinedTarget, RuledSet } from './given';
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
  mixedGroups,
  unlikeMargins,
  refinedAgainst,
  ruledSet,
  noStock,
  underRange,
  neverShown,
  stillCampaign,
  offPattern,
];

/** What is found in a structure, the most money first; of equal money in the order of the kinds. */
export function findAll(given: Given): (Finding & { kind: string })[] {
  return FINDING_KINDS.flatMap(({ kind, find }) => find(given).map((one) => ({ ...one, kind }))).sort(
    (a, b) => b.money - a.money,
  );
}
