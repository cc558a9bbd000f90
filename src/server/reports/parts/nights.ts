import { counted } from '../../../core/units';
import { groupBy } from '../../../core/order';
import { loadNights } from '../../standing/nights';
import { columns, tableOr, text } from '../reportAt';
import type { MakePart } from '../reportAt';

/** What the standing rules did in the nights of the period. */
export const nights: MakePart = async ({ account, window }) => {
  const all = (await loadNights(account.id)).nights.filter(
    ({ day }) => day >= window.from && day <= window.to,
  );
  const days = new Set(all.filter(({ state }) => state !== 'skipped').map(({ day }) => day));
  const stopped = all.filter(({ state, why }) => state === 'skipped' && why !== null);
  return [
    ...(all.length > 0
      ? [text(`Standing rules looked at the account in ${counted(days.size, 'night')}.`)]
      : []),
    tableOr(
      'No standing rule looked at the account in these days.',
      'By rule',
      columns(
        ['Rule'],
        ['Nights', 'count'],
        ['Changes', 'count'],
        ['Accepted', 'count'],
        ['Refused', 'count'],
        ['Undone', 'count'],
      ),
      [...groupBy(all, ({ rule }) => rule)].map(([rule, list]) => {
        const sum = (key: 'made' | 'accepted' | 'refused' | 'undone') =>
          list.reduce((whole, one) => whole + one[key], 0);
        return [rule, list.length, sum('made'), sum('accepted'), sum('refused'), sum('undone')];
      }),
    ),
    ...[...new Set(stopped.map(({ rule, why }) => `${rule} did not look: ${why}`))].slice(0, 5).map(text),
  ];
};
