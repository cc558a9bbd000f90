import { settledWindow, unsettledDays, WINDOW_DAYS } from '../../core/windows';
import type { JobInfo, SyncInfo } from '../../contract/api';
import { REPORT_KINDS } from '../../contract/reportFields';
import { listJobs } from '../../db/queries/jobs';
import type { JobRow } from '../../db/queries/jobs';
import { listCoverage, listSyncDays } from '../../db/queries/syncDays';
import { needAccount } from '../accounts/accounts';
import { db } from '../context/context';
import { loadCompletion } from './loadCompletion';
import { missingDays } from './plan';

/** How up to date an account is: its jobs, and what is here of each report. */
export async function loadSync(accountId: number): Promise<SyncInfo> {
  const account = await needAccount(accountId);
  const [jobs, coverage, days] = await Promise.all([
    listJobs(db(), accountId, 6),
    listCoverage(db(), accountId),
    listSyncDays(db(), accountId),
  ]);
  const today = account.marketDay;
  const first = coverage.reduce((least, { firstDay }) => (firstDay < least ? firstDay : least), '9999');
  return {
    jobs: jobs.map(jobInfo),
    marketDay: today,
    unsettled:
      today === null || account.lastDay === null
        ? []
        : settledWindow(
            account.lastDay,
            today,
            WINDOW_DAYS,
            unsettledDays(await loadCompletion(accountId, today)),
          ).unsettled,
    reports: REPORT_KINDS.map((kind) => {
      const here = coverage.find((one) => one.kind === kind);
      return {
        kind,
        firstDay: here?.firstDay ?? null,
        lastDay: here?.lastDay ?? null,
        days: here?.days ?? 0,
        syncedAt: here?.syncedAt ?? null,
        missing: today === null || coverage.length === 0 ? [] : missingDays(days, kind, first, today),
      };
    }),
  };
}

function jobInfo({ jobId, accountId: _accountId, input: _input, ...rest }: JobRow): JobInfo {
  return { id: jobId, ...rest };
}
