import type { ReportContent } from '../../contract/report';
import { MowingError } from '../../contract/mowingError';
import { findReport } from '../../db/queries/reports';
import { db } from '../context/context';

/** @throws MowingError where it is not kept (any more) */
export async function needReport(
  accountId: number,
  id: number,
): Promise<{ title: string; content: ReportContent }> {
  const report = await findReport(db(), accountId, id);
  if (!report)
    throw new MowingError(
      'not-found',
      'This report is not kept any more; the last twelve are. Make it anew.',
    );
  return report;
}
