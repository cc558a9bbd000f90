import type { AccountLine } from '../../contract/accountList';
import type { Right } from '../../contract/people';
import { monthOf, monthPace } from '../../core/pace';
import { largest } from '../../core/order';
import { addDays, counted } from '../../core/units';
import { sumsIn } from '../../core/windows';
import { listAccounts } from '../../db/queries/accounts';
import type { AccountRow } from '../../db/queries/accounts';
import { countPending } from '../../db/queries/changes';
import { db, log } from '../context/context';
import { lastTakenIn } from '../../db/queries/imports';
import { loadOverview, WEIGH_DAYS } from '../field/loadOverview';
import { loadSync } from '../sync/loadSync';

/** The accounts that somebody may see, each with how it stands. */
export async function loadAccountList(
  rightsOn: (id: number) => readonly Right[] | null,
): Promise<AccountLine[]> {
  const seen = (await listAccounts(db())).filter(({ id }) => rightsOn(id) !== null);
  const lines: AccountLine[] = [];
  // One after another: what each asks is much already.
  for (const account of seen) lines.push(await lineOf(account));
  return lines;
}

async function lineOf(account: AccountRow): Promise<AccountLine> {
  const { id, name, currency, targetAcos, lastDay } = account;
  const [{ staged }, takenAt, figures, sync] = await Promise.all([
    countPending(db(), id),
    lastTakenIn(db(), id),
    lastDay === null ? null : figuresOf(account, lastDay).catch((error: Error) => untold(id, error)),
    loadSync(id),
  ]);
  const told = typeof figures === 'string' ? null : figures;
  const [latest] = sync.jobs.filter(({ kind }) => kind === 'sync');
  const trouble = [
    ...(latest?.state === 'failed' ? [`The last sync failed: ${latest.message}`] : []),
    ...(lastDay === null ? ['No figures yet.'] : []),
    ...(typeof figures === 'string' ? [figures] : (figures?.missing ?? [])),
  ];
  return {
    id,
    name,
    currency,
    targetAcos,
    window: told?.window ?? null,
    spend: told?.spend ?? 0,
    sales: told?.sales ?? 0,
    month: told?.month ?? null,
    staged,
    lastDay,
    broughtAt: newest([takenAt, ...sync.reports.map(({ syncedAt }) => syncedAt)]),
    trouble,
  };
}

/** What stands instead of figures that could not be worked out: the other accounts are told all the same. */
function untold(id: number, error: Error): string {
  log().warn({ account: id, error }, 'an account is listed without figures');
  return `Its figures could not be worked out: ${error.message}`;
}

async function figuresOf({ id, sums }: AccountRow, lastDay: string) {
  const { window, days, month, missing } = await loadOverview(id);
  let [spend, sales] = [0, 0];
  for (const day of days)
    if (day.day >= window.from && day.day <= window.to) {
      spend += day.spend;
      sales += day.sales;
    }
  const goal = month.goal?.spend ?? null;
  const amounts = new Map(days.map((day) => [day.day, day.spend]));
  // A month is paced by its days and those of the weeks before: not where figures came summed.
  const isPaced = sumsIn({ from: addDays(monthOf(lastDay), -WEIGH_DAYS), to: lastDay }, sums).length === 0;
  return {
    window: { from: window.from, to: window.to },
    spend,
    sales,
    month: isPaced ? { forecast: monthPace(amounts, lastDay, goal).forecast, goal } : null,
    missing: missing.map(({ report, days: gone }) => `${report}: ${counted(gone.length, 'day')} missing.`),
  };
}

/** The latest of some points of time, whether the driver gave texts or dates; null of none. */
function newest(points: readonly (string | Date | null)[]): string | null {
  const times = points.flatMap((at) => (at === null ? [] : new Date(at).getTime()));
  return times.length === 0 ? null : new Date(largest(times)).toISOString();
}
