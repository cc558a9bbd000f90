import { counted } from '../../../core/units';
import { insertJob } from '../../../db/queries/jobs';
import { db } from '../../context/context';
import { isReportDue, makeDueReports } from '../../reports/templates';
import type { JobKind } from '../kind';

/** Reports that are made by themselves on a weekday, after the sync of that day. */
export const report: JobKind = {
  name: 'report',
  tries: 3,
  firstPauseS: 60,
  dailyAt: null,
  run: async ({ accountId }) => `${counted(await makeDueReports(accountId), 'report')} made.`,
};

/** Asks for the reports of an account that are due today. */
export async function askForReports(accountId: number): Promise<void> {
  if (await isReportDue(accountId)) await insertJob(db(), accountId, report.name, {});
}
