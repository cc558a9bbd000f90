import type { ReviewColumns, ReviewData } from '../../contract/review';
import { HISTORY_DAYS } from '../../core/bids';
import { marginOf } from '../../core/economics';
import { addDays, daysIn } from '../../core/units';
import type { Day } from '../../core/units';
import { reviewBefore } from '../../plans/past';
import { loadSince, loadStood } from '../changes/loadStood';
import { listProducts } from '../../db/queries/economics';
import { costsOf } from '../economics/products';
import { readWordLists } from '../../db/queries/wordLists';
import { listRoutes } from '../../db/queries/routes';
import { readNegativeLists } from '../../db/queries/negativeLists';
import { listAdGroups, listCampaigns, listNegatives } from '../../db/queries/structure';
import { readTermColumns } from '../../db/queries/terms';
import { loadTargets } from '../field/loadTree';
import { accountInfo, needAccount } from '../accounts/accounts';
import { chooseWindow } from '../accounts/chooseWindow';
import { db } from '../context/context';
import { keptRead, spanKey } from '../context/keptReads';

/**
 * Everything that a review of search terms needs, for a window or for the usual one.
 * @param on a day that is past: as it stood and was known then
 */
export async function loadReview(
  accountId: number,
  from?: string,
  to?: string,
  on?: Day,
): Promise<ReviewData> {
  const [since, review] = await Promise.all([
    loadSince(accountId, on),
    loadReviewColumns(accountId, from, to, on),
  ]);
  return reviewBefore(review, since);
}

/** The same with its targets as columns, as they stand now. */
export async function loadReviewColumns(
  accountId: number,
  from?: string,
  to?: string,
  on?: Day,
): Promise<ReviewColumns> {
  const account = await needAccount(accountId, on);
  const [window, usual] = await Promise.all([chooseWindow(account, from, to), chooseWindow(account)]);
  const counting = { from: addDays(usual.to, 1 - HISTORY_DAYS), to: usual.to };
  const sql = db();
  const [stood, campaigns, adGroups, targets, negatives, products, routes, lists, terms, negativeLists] =
    await Promise.all([
      loadStood(accountId, on),
      listCampaigns(sql, accountId),
      listAdGroups(sql, accountId),
      loadTargets(account),
      listNegatives(sql, accountId),
      listProducts(sql, accountId),
      listRoutes(sql, accountId),
      readWordLists(sql, accountId),
      keptRead(`terms ${accountId} ${spanKey(window)} ${spanKey(counting)}`, String(account.figures), () =>
        readTermColumns(db(), accountId, window.from, window.to, counting),
      ),
      readNegativeLists(sql, accountId),
    ]);
  return {
    account: accountInfo(account),
    window,
    historyDays: daysIn(
      account.firstDay && account.firstDay > counting.from ? account.firstDay : counting.from,
      counting.to,
    ),
    structure: {
      campaigns: stood.of('campaign', campaigns),
      adGroups: stood.of('ad-group', adGroups),
      targets,
      negatives: stood.of('negative', negatives),
    },
    margins: products.flatMap((row) => {
      const share = marginOf(costsOf(row))?.share;
      return share === undefined ? [] : [{ productId: row.id, share }];
    }),
    routes,
    lists,
    negativeLists,
    rows: terms.columns,
    isCut: terms.isCut,
  };
}
