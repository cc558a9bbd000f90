import { addDays, formatFullDay } from '../../../core/units';
import { choicesOf } from '../../accounts/accounts';
import { findLastBaleDay } from '../../../db/queries/reportChanges';
import { db } from '../../context/context';
import { text } from '../reportAt';
import type { MakePart } from '../reportAt';

/** When the next round is due: what was changed has to show first. */
export const next: MakePart = async ({ account, today }) => {
  const last = await findLastBaleDay(db(), account.id);
  const { holdDays } = choicesOf(account).bids;
  if (last === null) return [text('Nothing was sent from here yet, so the next round can be on any day.')];
  const due = addDays(last, holdDays);
  return [
    text(
      due <= today
        ? `The next round is due: the last changes were sent on ${formatFullDay(last)}, and ${holdDays} days of figures have come since.`
        : `The next round is on ${formatFullDay(due)}: the last changes were sent on ${formatFullDay(last)}, and they need ${holdDays} days to show.`,
    ),
  ];
};
