import { addDays } from '../../core/units';
import { completionCurve } from '../../core/windows';
import type { Completion } from '../../core/windows';
import { listSnapshots } from '../../db/queries/snapshots';
import { db } from '../context/context';

/** Days of snapshots that the curve is learnt from. */
const LEARN_DAYS = 75;

/** How late an account's orders arrive, learnt from what was visible when. */
export async function loadCompletion(accountId: number, today: string): Promise<Completion[]> {
  const snapshots = await listSnapshots(db(), accountId, addDays(today, -LEARN_DAYS));
  return completionCurve(snapshots);
}
