import type { ReviewData, TermColumns } from '../../contract/api';
import { listPutAside } from '../../db/queries/putAside';
import { listAdGroups, listCampaigns, listNegatives, listTargets } from '../../db/queries/structure';
import { readTermRows } from '../../db/queries/terms';
import type { TermRowValues } from '../../db/queries/terms';
import { accountInfo, needAccount } from '../accounts/accounts';
import { chooseWindow } from '../accounts/chooseWindow';
import { todayOf } from '../accounts/today';
import { db } from '../context/context';

/** Everything that a review of search terms needs, for a window or for the usual one. */
export async function loadReview(accountId: number, from?: string, to?: string): Promise<ReviewData> {
  const account = await needAccount(accountId);
  const window = await chooseWindow(account, from, to);
  const sql = db();
  const [campaigns, adGroups, targets, negatives, rows, putAside] = await Promise.all([
    listCampaigns(sql, accountId),
    listAdGroups(sql, accountId),
    listTargets(sql, accountId),
    listNegatives(sql, accountId),
    readTermRows(sql, accountId, window.from, window.to),
    listPutAside(sql, accountId, todayOf(account)),
  ]);
  return {
    account: accountInfo(account),
    window,
    structure: { campaigns, adGroups, targets, negatives },
    rows: toColumns(rows),
    putAside,
  };
}

function toColumns(rows: TermRowValues[]): TermColumns {
  const column = <I extends number>(index: I) => rows.map((row) => row[index]);
  return {
    termId: column(0),
    term: column(1),
    adGroupId: column(2),
    campaignId: column(3),
    targetId: column(4),
    targetCount: column(5),
    impressions: column(6),
    clicks: column(7),
    spend: column(8),
    orders: column(9),
    units: column(10),
    sales: column(11),
  } as TermColumns;
}
