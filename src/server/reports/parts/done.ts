import { CHANGE_PURPOSES, describeChange, purposeOf } from '../../../core/changes';
import { groupBy } from '../../../core/order';
import { counted, formatFullDay } from '../../../core/units';
import { listSentBetween } from '../../../db/queries/reportChanges';
import { db } from '../../context/context';
import { columns, tableOr, text } from '../reportAt';
import type { MakePart } from '../reportAt';

const [MOST_SHOWN, MOST_REFUSED] = [12, 20];

/** What was sent in the period: by sort, the largest ones with their reasons, and what the market refused. */
export const done: MakePart = async ({ account, window }) => {
  const changes = await listSentBetween(db(), account.id, window);
  const accepted = changes.filter(({ state }) => state === 'accepted');
  const refused = changes.filter(({ state }) => state === 'refused');
  if (changes.length === 0) return [text('Nothing was sent in these days.')];
  const bales = new Set(changes.map(({ baleId }) => baleId));
  const sorts = groupBy(accepted, ({ change, step, isUndo }) => purposeOf(change, step ?? undefined, isUndo));
  const largest = [...accepted]
    .sort(
      (a, b) =>
        Math.abs(b.spend) + Math.abs(b.sales) - (Math.abs(a.spend) + Math.abs(a.sales)) || a.id - b.id,
    )
    .slice(0, MOST_SHOWN);
  const sum = (list: readonly (typeof changes)[number][], key: 'spend' | 'sales') =>
    list.reduce((all, one) => all + one[key], 0);
  return [
    text(
      `${counted(bales.size, 'bale')} went to the market with ${counted(changes.length, 'change')}: ${accepted.length} accepted, ${refused.length} refused.`,
    ),
    tableOr(
      'None was accepted.',
      'By sort, with what was expected of them a month',
      columns(['Sort'], ['Changes', 'count'], ['Spend', 'money'], ['Ad sales', 'money']),
      [...sorts].map(([purpose, list]) => [
        CHANGE_PURPOSES[purpose],
        list.length,
        sum(list, 'spend'),
        sum(list, 'sales'),
      ]),
      ['All', accepted.length, sum(accepted, 'spend'), sum(accepted, 'sales')],
    ),
    tableOr(
      'None was accepted.',
      'The largest, with their reasons',
      columns(['Day'], ['Where'], ['Change'], ['Why']),
      largest.map(({ day, place, change, reason }) => [
        formatFullDay(day),
        place,
        describeChange(change),
        reason,
      ]),
    ),
    tableOr(
      'Nothing was refused.',
      'Refused by the market',
      columns(['Day'], ['Where'], ['Change'], ['Answer']),
      refused
        .slice(0, MOST_REFUSED)
        .map(({ day, place, change, answer }) => [formatFullDay(day), place, describeChange(change), answer]),
    ),
    ...(refused.length > MOST_REFUSED ? [text(`And ${refused.length - MOST_REFUSED} more.`)] : []),
  ];
};
