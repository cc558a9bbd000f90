import type { LossState } from '../../../contract/aside';
import { formatFullDay } from '../../../core/units';
import { loadAside } from '../../aside/aside';
import { loadLosses } from '../../aside/loadLosses';
import { columns, tableOr, text } from '../reportAt';
import type { MakePart } from '../reportAt';

const STATES: Record<LossState, string> = {
  standing: 'stands',
  soon: 'ends within a week',
  over: 'lost more than accepted',
  ended: 'ended',
};

/** Accepted losses, and how much else is put aside. */
export const left: MakePart = async ({ account, window }) => {
  const [{ losses }, { aside }] = await Promise.all([loadLosses(account.id), loadAside(account.id)]);
  const shown = losses.filter(
    ({ state, endedOn, until }) => state !== 'ended' || (endedOn ?? until) >= window.from,
  );
  const count = (verdict: string) => aside.filter((one) => one.verdict === verdict).length;
  return [
    tableOr(
      'There is no accepted loss.',
      'Accepted losses',
      columns(
        ['What'],
        ['Why'],
        ['Until'],
        ['State'],
        ['Cost so far', 'money'],
        ['Rank before', 'rank'],
        ['Rank', 'rank'],
      ),
      shown.map((one) => [
        `${one.name} (${one.place})`,
        one.note,
        formatFullDay(one.endedOn ?? one.until),
        STATES[one.state],
        one.cost,
        one.rankBefore,
        one.rankNow,
      ]),
    ),
    text(
      `Put aside besides: ${count('left')} left as they are, ${count('later')} put off to the next round.`,
    ),
  ];
};
