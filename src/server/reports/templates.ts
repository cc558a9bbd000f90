import type { ReportTemplate } from '../../contract/report';
import { MowingError } from '../../contract/mowingError';
import { addDays, weekdayOf } from '../../core/units';
import { deleteTemplate, keepTemplate, listDueTemplates, markTemplateMade } from '../../db/queries/reports';
import { needAccount } from '../accounts/accounts';
import { chooseWindow } from '../accounts/chooseWindow';
import { todayOf } from '../accounts/today';
import { db } from '../context/context';
import { MOWING, recorded } from '../trail';
import type { Caller } from '../trail';
import { keepReport } from './keptReports';

/** Keeps a template, a new one without an id. @throws MowingError where another has its name */
export async function putTemplate(
  caller: Caller,
  accountId: number,
  template: Omit<ReportTemplate, 'id'> & { id?: number },
): Promise<{ id: number }> {
  await needAccount(accountId);
  return recorded(caller, accountId, async (tx, write) => {
    const id = await keepTemplate(tx, accountId, template);
    if (id === null)
      throw new MowingError(
        'conflict',
        `There is a template called “${template.name}” already, or this one was removed. Give it another name.`,
      );
    write({ what: 'keep report template', subject: template.name, to: template });
    return { id };
  });
}

export async function removeTemplate(
  caller: Caller,
  accountId: number,
  id: number,
): Promise<{ removed: boolean }> {
  return recorded(caller, accountId, async (tx, write) => {
    const removed = await deleteTemplate(tx, accountId, id);
    if (removed) write({ what: 'remove report template', subject: `template ${id}` });
    return { removed };
  });
}

/** Makes the reports that are due by themselves on an account's day, each once. @returns how many */
export async function makeDueReports(accountId: number): Promise<number> {
  const account = await needAccount(accountId);
  const today = todayOf(account);
  const due = await listDueTemplates(db(), accountId, today, weekdayOf(today));
  if (due.length === 0 || account.lastDay === null) return 0;
  const { to } = await chooseWindow(account);
  for (const { id, days, paper, parts } of due) {
    await keepReport(MOWING, { account: accountId, from: addDays(to, 1 - days), to, paper, parts }, id);
    await markTemplateMade(db(), accountId, id, today);
  }
  return due.length;
}

/** Whether one is due. */
export async function isReportDue(accountId: number): Promise<boolean> {
  const today = todayOf(await needAccount(accountId));
  return (await listDueTemplates(db(), accountId, today, weekdayOf(today))).length > 0;
}
