import { addDays, formatCount, formatFullDay } from '../../../core/units';
import { findAccount } from '../../../db/queries/accounts';
import { db } from '../../context/context';
import { market } from '../../market/market';
import { syncAccount } from '../../sync/syncAccount';
import { tendTrials } from '../../trials/tendTrials';
import type { JobAt, JobKind } from '../kind';
import { askForReports } from './report';
import { askForNight } from './standing';

/** Brings an account up to date with its market; by itself in the early morning of the account. */
export const sync: JobKind = {
  name: 'sync',
  run: async (at) => {
    const told = await bringUpToDate(at);
    await askForNight(at.accountId);
    await askForReports(at.accountId);
    return told;
  },
  tries: 6,
  firstPauseS: 3,
  dailyAt: 5,
};

/** @returns what was new, and what the market left out */
export async function bringUpToDate({
  accountId,
  tell,
}: Pick<JobAt<object>, 'accountId' | 'tell'>): Promise<string> {
  const { rows, reports, missing } = await syncAccount(accountId, market(), tell);
  await tendTrials(accountId);
  const account = (await findAccount(db(), accountId))!;
  const upTo = `Up to date with ${account.marketDay === null ? 'the market' : `the market’s ${formatFullDay(addDays(account.marketDay, -1))}`}`;
  const told =
    reports === 0
      ? `${upTo}: nothing was new.`
      : `${upTo}: ${formatCount(rows)} rows from ${formatCount(reports)} reports.`;
  if (missing.length === 0) return told;
  const some = missing.slice(0, 3).join('; ');
  return `${told} The market left out ${formatCount(missing.length)} days (${some}${missing.length > 3 ? ' …' : ''}); they are asked for again at the next sync.`;
}
