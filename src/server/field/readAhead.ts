import { WORDS_DAYS } from '../../core/words';
import { addDays } from '../../core/units';
import { listAccounts } from '../../db/queries/accounts';
import type { AccountRow } from '../../db/queries/accounts';
import { isSyncing } from '../../db/queries/jobs';
import { USUAL_RANK_SPAN } from '../../contract/rank';
import { loadBidFeed } from '../bids/loadBidFeed';
import { db } from '../context/context';
import { loadSchedules } from '../hours/loadSchedules';
import { loadRank } from '../rank/loadRank';
import { loadReviewColumns } from '../review/loadReview';
import { loadFindings } from '../structure/loadFindings';
import { loadFieldSums } from './loadFieldSums';
import { loadOverview } from './loadOverview';
import { loadTreeColumns } from './loadTree';

/** An account whose first sums take less is quick enough by itself, ms. */
const QUICK_MS = 150;

/** The figures that this program has read ahead, by account. */
const readTo = new Map<number, number>();

/**
 * Reads what the places ask for first of accounts with new figures, so that whoever comes first after a night does not wait for it. One
 * question after another: those who are here go before. Not while figures are still coming in.
 */
export async function readAhead(): Promise<void> {
  for (const account of await listAccounts(db())) {
    if (readTo.get(account.id) === account.figures || account.lastDay === null) continue;
    if (await isSyncing(db(), account.id)) continue;
    readTo.set(account.id, account.figures);
    try {
      await readFirst(account);
    } catch (error) {
      // Tried again when this comes round.
      readTo.delete(account.id);
      throw error;
    }
  }
}

async function readFirst({ id, lastDay }: AccountRow): Promise<void> {
  const start = performance.now();
  await loadFieldSums({ account: id, grain: 'target' });
  if (performance.now() - start < QUICK_MS) return;
  await loadTreeColumns(id);
  await loadFieldSums({ account: id, grain: 'ad-group' });
  await loadOverview(id);
  await loadFieldSums({ account: id, grain: 'placement' });
  await loadBidFeed(id);
  await loadReviewColumns(id);
  await loadFieldSums({ account: id, grain: 'term' });
  await loadReviewColumns(id, addDays(lastDay!, 1 - WORDS_DAYS), lastDay!);
  await loadFindings(id);
  await loadSchedules(id);
  await loadRank(id, USUAL_RANK_SPAN);
}
