import type { NewReport, ReportsAnswer } from '../../contract/report';
import { formatFullDay } from '../../core/units';
import { deleteReport, insertReport, listReports, listTemplates } from '../../db/queries/reports';
import { needAccount } from '../accounts/accounts';
import { chooseWindow } from '../accounts/chooseWindow';
import { db } from '../context/context';
import { recorded } from '../trail';
import type { Caller } from '../trail';
import { linksOf } from './links';
import { makeReport } from './makeReport';

/** The kept reports of an account, its templates, and the usual days of a report. */
export async function loadReports(accountId: number): Promise<ReportsAnswer> {
  const account = await needAccount(accountId);
  const [reports, templates, links, { from, to }] = await Promise.all([
    listReports(db(), accountId),
    listTemplates(db(), accountId),
    linksOf(accountId),
    chooseWindow(account),
  ]);
  return {
    reports: reports.map((one) => ({
      ...one,
      links: links.filter(({ reportId }) => reportId === one.id).map(({ reportId: _, ...link }) => link),
    })),
    templates,
    usual: { from, to },
  };
}

/** Makes a report and keeps it. @param templateId that made it by itself; null: by hand */
export async function keepReport(
  caller: Caller,
  asked: NewReport,
  templateId: number | null = null,
): Promise<{ id: number }> {
  const content = await makeReport(asked);
  const title = `${content.account.name}, ${formatFullDay(content.from)} – ${formatFullDay(content.to)}`;
  return recorded(caller, asked.account, async (tx, write) => {
    const id = await insertReport(tx, asked.account, content, title, templateId);
    write({ what: 'make report', subject: `report ${id}`, to: { from: content.from, to: content.to } });
    return { id };
  });
}

export async function removeReport(
  caller: Caller,
  accountId: number,
  id: number,
): Promise<{ removed: boolean }> {
  return recorded(caller, accountId, async (tx, write) => {
    const removed = await deleteReport(tx, accountId, id);
    if (removed) write({ what: 'remove report', subject: `report ${id}` });
    return { removed };
  });
}
