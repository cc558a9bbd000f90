import type { NewChange } from '../../contract/changes';
import type { MonthMoney, NamedWeek, RunningSchedule } from '../../contract/schedules';
import type { MarketLimits } from '../../core/changes';

/** The step of the round that schedules belong to. */
export const HOURS_STEP = 'hours';

/** A campaign that is to follow a week, with what a month is expected to come to. */
export interface FollowPart {
  campaignId: number;
  running: RunningSchedule | null;
  now: MonthMoney;
  after: MonthMoney;
}

/**
 * The changes that put a campaign on a week, or end the one that it follows. Another name is another schedule: the old one ends first.
 * @returns none where it stands as is wanted
 */
export function scheduleChanges(
  { campaignId, running, now, after }: FollowPart,
  follow: NamedWeek | null,
  reason: string,
): NewChange[] {
  const effect = {
    spend: Math.round(after.spend - now.spend),
    sales: Math.round(after.sales - now.sales),
  };
  const none = { spend: 0, sales: 0 };
  const figures = {
    step: HOURS_STEP,
    spend: now.spend,
    sales: now.sales,
    spendBy: now.spend > 0 ? after.spend / now.spend : 1,
    salesBy: now.sales > 0 ? after.sales / now.sales : 1,
  };
  const { scheduleId, name = '', week = '' } = running ?? {};
  if (scheduleId !== undefined && follow?.name === name)
    return follow.week === week
      ? []
      : [
          {
            change: { kind: 'set-schedule', scheduleId, campaignId, name, from: week, to: follow.week },
            reason,
            figures,
            effect,
          },
        ];
  const end: NewChange[] =
    scheduleId === undefined
      ? []
      : [
          {
            change: { kind: 'end-schedule', scheduleId, campaignId, name, week },
            reason,
            figures: follow ? { step: HOURS_STEP } : figures,
            effect: follow ? none : effect,
          },
        ];
  return follow
    ? [...end, { change: { kind: 'add-schedule', campaignId, ...follow }, reason, figures, effect }]
    : end;
}

/** Why base bids go with a schedule. */
export const RAISED_FROM_BELOW = 'Gives way to a schedule that can only raise.';

/** Base bids that give way where schedules can only raise, down to the market's least. */
export function basesDown(
  bids: readonly { targetId: number; bid: number }[],
  bases: number,
  reason: string,
  { minBid, bidStep }: MarketLimits,
): NewChange[] {
  return bids.flatMap(({ targetId, bid }) => {
    const to = Math.max(minBid, Math.round((bid * bases) / bidStep) * bidStep);
    if (to === bid) return [];
    return [
      {
        change: { kind: 'set-bid', targetId, from: bid, to },
        reason,
        figures: { step: HOURS_STEP },
        effect: { spend: 0, sales: 0 },
      },
    ];
  });
}
