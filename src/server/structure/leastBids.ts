import { listTargetsToSuggest } from '../../db/queries/structure';
import type { AccountRow } from '../../db/queries/accounts';
import { db, log } from '../context/context';
import { market } from '../market/market';

/** Of so many targets that were not shown the market is asked at most. */
const MOST = 500;

/** Answers of the market by account, as long as its figures stay as they are. */
const known = new Map<number, { revision: number; bids: ReadonlyMap<number, number> }>();

/** Where ranges begin, micros by target, and whether the market told of all that it was asked. */
interface Least {
  bids: ReadonlyMap<number, number>;
  isTold: boolean;
}

/**
 * Where the market's range begins for targets. A market that does not answer tells nothing: then no target is said to bid too little.
 * @param still those that run and were not shown in the window
 */
export async function leastBids(
  { id, marketId, revision }: AccountRow,
  still: readonly number[],
): Promise<Least> {
  if (marketId === null) return { bids: new Map(), isTold: true };
  const kept = known.get(id);
  if (kept?.revision === revision) return { bids: kept.bids, isTold: true };
  try {
    const asked = await listTargetsToSuggest(db(), id, still.slice(0, MOST));
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
    return { bids, isTold: true };
  } catch (error) {
    log().warn({ err: error, account: id }, 'the market’s ranges were not told: findings go without');
    return { bids: new Map(), isTold: false };
  }
}
