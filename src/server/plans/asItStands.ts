import { idsOfSubject } from '../../contract/aside';
import { listChangeRows } from '../../db/queries/changes';
import { loadAside } from '../aside/aside';
import { needAccount } from '../accounts/accounts';
import { todayOf } from '../accounts/today';
import type { Otherwise } from '../bids/askBids';
import { loadBidFeed } from '../bids/loadBidFeed';
import { db } from '../context/context';
import { loadSince } from '../changes/loadStood';
import { loadTreeColumns } from '../field/loadTree';
import { withGoal } from './how';
import type { PlanHow } from './how';

/** What is in the tray or under way; nothing of it was on a day that is past. */
export async function pendingOf(accountId: number, { on }: PlanHow) {
  if (on !== undefined) return [];
  const lists = await Promise.all(
    (['staged', 'sending'] as const).map((state) => listChangeRows(db(), accountId, { state })),
  );
  return lists.flat();
}

/** The ids of what is put aside in a queue; what was on a day that is past is not known. */
export async function asideOf(accountId: number, queue: string, { on }: PlanHow): Promise<number[][]> {
  if (on !== undefined) return [];
  const { aside } = await loadAside(accountId);
  return aside.filter((one) => one.queue === queue).map(({ subject }) => idsOfSubject(subject));
}

/** What bids are worked out from where that is not what stands now; undefined: it is. */
export function otherwise(target: number | undefined, how: PlanHow): Otherwise | undefined {
  const { on, goal, isGoalForAll, lookBack } = how;
  if ([target, on, goal, lookBack].every((one) => one === undefined)) return undefined;
  return {
    stamp: JSON.stringify([target, on, goal, isGoalForAll, lookBack]),
    load: async (id) => {
      const [account, known, feed, since] = await Promise.all([
        needAccount(id),
        loadTreeColumns(id, { on }),
        loadBidFeed(id, how),
        loadSince(id, on),
      ]);
      const tree = { ...withGoal(known, how), accountAcos: target ?? account.targetAcos };
      return { tree, feed, ...(on !== undefined && { past: { on, today: todayOf(account), since } }) };
    },
  };
}

/** Days of a window, as answers tell them. */
export const days = ({ from, to }: { from: string; to: string }) => ({ from, to });
