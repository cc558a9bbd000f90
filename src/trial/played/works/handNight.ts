import { CPC_ELASTICITY } from '../../../core/bids';
import { arrangeRows, readAnyOf } from '../../../core/conditions';
import type { Stack } from '../../../core/conditions';
import { buildLens, sumsAt, treeReader } from '../../../core/lenses';
import { indexTree } from '../../../core/structure';
import { daysIn, DAYS_PER_MONTH, roundDownToStep } from '../../../core/units';
import { seenTargets, seenTree, settledDays } from '../seen';
import type { NightWork } from './nightMove';

/** A step by hand on the targets that meet its conditions: their bids move by a percentage, or they are paused. */
export const handNight: NightWork = ({ hand, bid, waitDays, lookBack }, market, memory) => {
  const stack = hand.conditions.map(readAnyOf);
  if (stack.includes(null)) return [];
  const window = settledDays(market, lookBack);
  const index = indexTree(seenTree(market, memory));
  const table = buildLens('targets', index, seenTargets(market, window));
  const all = Int32Array.from({ length: table.size }, (_, row) => row);
  const { minBid, maxBid, bidStep } = market.scenario.limits;
  const perMonth = DAYS_PER_MONTH / daysIn(window.from, window.to);
  const rows = Array.from(arrangeRows(treeReader(table, index), all, stack as Stack, []));
  return rows.flatMap((row) => {
    const target = market.books.targets[table.targetId[row] - 1];
    const from = table.value[row];
    if (target.state !== 'enabled' || table.age[row] < waitDays || Number.isNaN(from)) return [];
    const figures = sumsAt(table.now, row);
    const month = figures.spend * perMonth;
    if (hand.percent === null)
      return [{ figures, spend: -month, make: () => void (target.state = 'paused') }];
    const to = Math.min(
      bid.high ?? maxBid,
      Math.max(bid.low ?? minBid, minBid, roundDownToStep(from * (1 + hand.percent), bidStep)),
    );
    if (to === from) return [];
    const spend = month * ((to / from) ** (1 + CPC_ELASTICITY) - 1);
    return [{ figures, spend, make: () => void (target.bid = to) }];
  });
};
