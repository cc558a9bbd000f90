import type { ReviewData } from '../../contract/review';
import { HISTORY_DAYS } from '../../core/bids';
import { marginOf } from '../../core/economics';
import { addDays, daysIn } from '../../core/units';
import type { Day } from '../../core/units';
import { loadStood } from '../changes/loadStood';
import { listProducts } from '../../db/queries/economics';
import { costsOf } from '../economics/products';
import { readWordLists } from '../../db/queries/wordLists';
import { listRoutes } from '../../db/queries/routes';
import { readNegativeLists } from '../../db/queries/negativeLists';
import { listAdGroups, listCampaigns, listNegatives, listTargets } from '../../db/queries/structure';
import { readTermColumns } from '../../db/queries/terms';
import { accountInfo, needAccount } from '../accounts/accounts';
import { chooseWindow } from '../accounts/chooseWindow';
import { db } from '../context/context';

/**
 * Everything that a review of search terms needs, for a window or for the usual one, as the text of a ReviewData. Its
 * rows are columns that the database printed: they pass through as they are.
 * @param on a day that is past: as it stood and was known then
 */
export async function loadReview(accountId: number, from?: string, to?: string, on?: Day): Promise<string> {
  const account = await needAccount(accountId, on);
  const [window, usual] = await Promise.all([chooseWindow(account, from, to), chooseWindow(account)]);
  const counting = { from: addDays(usual.to, 1 - HISTORY_DAYS), to: usual.to };
  const sql = db();
  const [stood, campaigns, adGroups, targets, negatives, products, routes, lists, rows, negativeLists] =
    await Promise.all([
      loadStood(accountId, on),
      listCampaigns(sql, accountId),
      listAdGroups(sql, accountId),
      listTargets(sql, accountId),
      listNegatives(sql, accountId),
      listProducts(sql, accountId),
      listRoutes(sql, accountId),
      readWordLists(sql, accountId),
      readTermColumns(sql, accountId, window.from, window.to, counting),
      readNegativeLists(sql, accountId),
    ]);
  const rest: Omit<ReviewData, 'rows'> = {
    account: accountInfo(account),
    window,
    historyDays: daysIn(
      account.firstDay && account.firstDay > counting.from ? account.firstDay : counting.from,
      counting.to,
    ),
    structure: {
      campaigns: stood.of('campaign', campaigns),
      adGroups: stood.of('ad-group', adGroups),
      targets: stood.of('target', targets),
      negatives: stood.of('negative', negatives),
    },
    margins: products.flatMap((row) => {
      const share = marginOf(costsOf(row))?.share;
      return share === undefined ? [] : [{ productId: row.id, share }];
    }),
    routes,
    lists,
    negativeLists,
  };
  const columns = Object.entries(rows).map(([name, list]) => `${JSON.stringify(name)}:${list}`);
  return `${JSON.stringify(rest).slice(0, -1)},"rows":{${columns.join(',')}}}`;
}
