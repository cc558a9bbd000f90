import type { Day } from '../../core/units';
import type { AccountRow } from '../../db/queries/accounts';

/** The account's present day: its market's clock when it is connected, else the calendar (UTC). */
export function todayOf(account: Pick<AccountRow, 'marketDay'>): Day {
  return account.marketDay ?? new Date().toISOString().slice(0, 10);
}
