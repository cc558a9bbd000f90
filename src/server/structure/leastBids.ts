import type { Given } from '../../core/findings';
import type { TreeIndex } from '../../core/structure';
import { listTargetsToSuggest } from '../../db/queries/structure';
import type { AccountRow } from '../../db/queries/accounts';
import { db, log } from '../context/context';
import { market } from '../market/market';

/** Of so many targets that were not shown the market is asked at most. */
const MOST = 500;

/** Answers of the market by account, as long as its figures stay as they are. */
const known = new Map<number, { revision: number; bids: Map<number, number> }>();

/** Where ranges begin, and whether the market told of all that it was asked. */
interface Least {
  of: Given['leastBid'];
  isTold: boolean;
}

/**
 * Where the market's range begins for targets that run and were not shown in the window. A market that does not answer tells nothing: then no target is
 * said to bid too little.
 */
export async function leastBids(
  { id, marketId, revision }: AccountRow,
  index: TreeIndex,
  sums: Given['sums'],
): Promise<Least> {
  if (marketId === null) return { of: () => null, isTold: true };
  const kept = known.get(id);
  if (kept?.revision === revision) return { of: (target) => kept.bids.get(target) ?? null, isTold: true };
  const still = index.tree.targets.filter(
    (target) =>
      target.state === 'enabled' &&
      target.kind !== 'unknown' &&
      index.campaignRuns(index.placeOfTarget(target.id).campaignId) &&
      sums(target.id).impressions === 0,
  );
  try {
    const asked = await listTargetsToSuggest(
      db(),
      id,
      still.slice(0, MOST).map((target) => target.id),
    );
    const answers = await market().suggestBids(
      marketId,
      asked.map(({ adGroupId, kind, match, expression }) => ({ adGroupId, kind, match, expression })),
    );
    const bids = new Map(
      asked.flatMap((target, at) => {
        const low = answers[at]?.low;
        return low === undefined ? [] : [[target.id, low] as const];
      }),
    );
    known.set(id, { revision, bids });
    return { of: (target) => bids.get(target) ?? null, isTold: true };
  } catch (error) {
    log().warn({ err: error, account: id }, 'the market’s ranges were not told: findings go without');
    return { of: () => null, isTold: false };
  }
}
