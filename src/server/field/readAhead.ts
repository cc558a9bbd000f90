import { MowingError } from '../../contract/mowingError';
import { listAccounts } from '../../db/queries/accounts';
import type { AccountRow } from '../../db/queries/accounts';
import { isSyncing } from '../../db/queries/jobs';
import { USUAL_PART_CLICKS } from '../../contract/wordQuestions';
import { USUAL_RANK_SPAN } from '../../contract/rank';
import { loadBidFeed } from '../bids/loadBidFeed';
import { db } from '../context/context';
import { inMoneyOf } from '../context/ownMoney';
import { loadSchedules } from '../hours/loadSchedules';
import { planOtherPaces, usualBidPlan, usualBudgets, usualPlacements } from '../plans/usualPlans';
import { loadRank } from '../rank/loadRank';
import { loadReviewColumns } from '../review/loadReview';
import { loadFindings } from '../structure/loadFindings';
import { askWords } from '../words/askWords';
import { loadFieldSums } from './loadFieldSums';
import { loadOverview } from './loadOverview';
import { loadOverviewParts } from './loadOverviewParts';
import { loadTreeColumns } from './loadTree';

/** What the place of words asks for until something is chosen there. */
const EVERY_PART = {
  productId: null,
  length: null,
  text: '',
  sort: 'excess',
  minClicks: USUAL_PART_CLICKS,
} as const;

/** An account with fewer targets than this is quick enough by itself. */
const MANY_TARGETS = 10_000;

/** The figures that this program has read ahead, by account, and the state of its large ones that bids are planned for. */
const readTo = new Map<number, number>();
const plannedFor = new Map<number, number>();

/**
 * Reads what the places ask for first of accounts with new figures, so that whoever comes first after a night does not wait for it. One
 * question after another: those who are here go before. Not while figures are still coming in.
 */
export async function readAhead(): Promise<void> {
  for (const account of await listAccounts(db())) {
    const isRead = readTo.get(account.id) === account.figures;
    const isPlanned = (plannedFor.get(account.id) ?? account.revision) === account.revision;
    if (account.lastDay === null || (isRead && isPlanned)) continue;
    if (await isSyncing(db(), account.id)) continue;
    readTo.set(account.id, account.figures);
    try {
      await inMoneyOf(account.id, () => (isRead ? planAhead(account) : readFirst(account)));
    } catch (error) {
      // Tried again when this comes round; an account that is too large stays so.
      if (!(error instanceof MowingError)) readTo.delete(account.id);
      throw error;
    }
  }
}

/** After changes too: whoever sent them goes on with the next step. */
async function planAhead({ id, revision }: AccountRow): Promise<void> {
  plannedFor.set(id, revision);
  await usualBidPlan(id);
  await usualBudgets(id);
  await usualPlacements(id);
  await planOtherPaces(id);
}

async function readFirst(account: AccountRow): Promise<void> {
  const { id, targetAcos } = account;
  const { columns } = await loadFieldSums({ account: id, grain: 'target' });
  if (columns.targetId!.length < MANY_TARGETS) return;
  await loadTreeColumns(id);
  await loadFieldSums({ account: id, grain: 'ad-group' });
  await loadOverview(id);
  await loadOverviewParts(id);
  await loadFieldSums({ account: id, grain: 'placement' });
  await loadBidFeed(id);
  await planAhead(account);
  await loadReviewColumns(id);
  await loadFieldSums({ account: id, grain: 'term' });
  await askWords(id, 'standing', {});
  await askWords(id, 'parts', { ...EVERY_PART, targetAcos });
  await loadFindings(id);
  await loadSchedules(id);
  await loadRank(id, USUAL_RANK_SPAN);
}
