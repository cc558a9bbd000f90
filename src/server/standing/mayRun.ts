import { weekTrip } from '../../core/rules';
import type { RuleGuards } from '../../core/rules';
import { addDays, formatFullDay } from '../../core/units';
import type { AccountRow } from '../../db/queries/accounts';
import { sumWeeks } from '../../db/queries/rules';
import { chooseWindow } from '../accounts/chooseWindow';
import { todayOf } from '../accounts/today';
import { db } from '../context/context';
import { loadSync } from '../sync/loadSync';

/** Days of these reports have to be there, as far back as so. */
const NEEDED = ['targets', 'terms', 'placements'];
const NEEDED_DAYS = 30;
/** A sync older than so tells of another day. */
const OLD_AFTER_H = 36;
const WEEKS = 9;

/** Why no rule looks at an account this night: days are missing, or the last sync is old. Null: they may. */
export async function notTonight(account: AccountRow): Promise<string | null> {
  const today = todayOf(account);
  if (account.lastDay === null) return 'There are no figures yet.';
  if (account.lastDay < addDays(today, -1))
    return `Figures end on ${formatFullDay(account.lastDay)}: days are missing.`;
  const { reports } = await loadSync(account.id);
  const since = addDays(today, -NEEDED_DAYS);
  for (const { kind, missing } of reports) {
    const own = NEEDED.includes(kind) ? missing.filter((day) => day >= since) : [];
    if (own.length > 0) return `The report of ${kind} lacks ${formatFullDay(own[0])}: a day is missing.`;
  }
  const synced = reports.flatMap(({ kind, syncedAt }) => (kind === 'targets' && syncedAt ? [syncedAt] : []));
  const age = (Date.now() - new Date(synced[0] ?? 0).getTime()) / 3_600_000;
  return age > OLD_AFTER_H ? 'The last sync is more than a day and a half old.' : null;
}

/** Why all rules stop themselves: the last settled week has left what is usual. Null: it has not. */
export async function whyStop(account: AccountRow, guards: RuleGuards): Promise<string | null> {
  const { to } = await chooseWindow(account);
  return weekTrip(await sumWeeks(db(), account.id, to, WEEKS), guards);
}
