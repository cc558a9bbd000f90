import type { NewChange } from '../../contract/changes';
import type { ScheduleRow } from '../../contract/schedules';
import { movesOf } from '../../core/changes';
import type { Change, MarketLimits } from '../../core/changes';
import { readWeek, weekWords } from '../../core/schedules';
import { formatCount, formatShare } from '../../core/units';
import { basesDown, RAISED_FROM_BELOW, scheduleChanges } from './scheduleChanges';

/** Campaigns whose schedule has a change in the tray or under way. */
export const pendingSchedules = (pending: readonly { change: Change }[]): number[] => [
  ...new Set(
    pending.flatMap(({ change }) => {
      const moves = movesOf(change);
      return moves?.what === 'schedule' ? [moves.campaign] : [];
    }),
  ),
];

/** Sales that following the week is expected to win, micros a month. */
export const scheduleStake = ({ left, now, after }: ScheduleRow): number =>
  left === null ? after.sales - now.sales : 0;

const LEFT: Record<Exclude<ScheduleRow['left'], null>, string> = {
  'no pattern': 'No pattern is sure enough to bid by.',
  'held by money':
    'Its budget leaves no room for hours that are raised: money would decide, not the bid. Give it money first, in the step of budgets.',
  'not running': 'It does not run.',
  'follows one': 'It follows a schedule already.',
  'in a trial': 'A trial by weeks switches it; what comes of that is told first.',
  'no sales': 'Nothing sold in these weeks.',
};

/** Why a campaign is to follow a week, or why nothing is proposed. */
export function hourReason({
  left,
  running,
  name,
  blocks,
  isOwn,
  isFirst,
  orders,
  now,
  after,
}: ScheduleRow): string {
  if (left === 'follows one' && running)
    return `It follows “${running.name}”: ${weekWords(readWeek(running.week)!)}.`;
  if (left !== null) return LEFT[left];
  const whose = isOwn
    ? `its own hours (${formatCount(orders)} orders)`
    : 'the hours of the account: too few orders of its own';
  return `Follow “${name}”, ${formatCount(blocks)} blocks from ${whose}; ${formatShare(after.sales / now.sales - 1)} more sales at the same ACOS.${
    running ? ` Now “${running.name}”.` : ''
  }${isFirst ? ' Among those to try first.' : ''}`;
}

/** The changes that accepting a row makes, base bids that give way among them; none where nothing is proposed. */
export function wantsOf(row: ScheduleRow, limits: MarketLimits): NewChange[] {
  if (row.left !== null) return [];
  const made = scheduleChanges(row, { name: row.name, week: row.week }, hourReason(row));
  return made.length === 0 ? [] : [...made, ...basesDown(row.bids, row.bases, RAISED_FROM_BELOW, limits)];
}
