import { dayIn } from '../../contract/timeZone';
import type { Day } from '../../core/units';
import type { AccountRow } from '../../db/queries/accounts';

/** The account's present day: its market's clock when it is connected, else the calendar of its time zone. */
export function todayOf({ marketDay, timeZone }: Pick<AccountRow, 'marketDay' | 'timeZone'>): Day {
  return marketDay ?? dayIn(timeZone, new Date());
}
