import type { AccountInfo } from '../../../contract/api';
import { percentWords, readWeek, weekWords } from '../../../core/schedules';
import { weekdayOf } from '../../../core/units';
import { hourIn } from '../../../contract/timeZone';
import { useSchedules } from './useSchedules';

/** Which schedule a campaign follows, and what that does to its bids at this hour; nothing where it follows none. */
export function RunsNow({ account, campaignId }: { account: AccountInfo; campaignId: number }) {
  const { data } = useSchedules(account);
  const running = (data?.running ?? []).filter((one) => one.campaignId === campaignId);
  const trial = data?.rows.find((row) => row.campaignId === campaignId)?.left === 'in a trial';
  if (running.length === 0 && !trial) return null;
  const now = weekdayOf(account.today) * 24 + hourIn(account.timezone, new Date());
  return (
    <p className="note">
      {running.map(({ scheduleId, name, week }) => {
        const hours = readWeek(week)!;
        return (
          <span key={scheduleId} title={weekWords(hours)}>
            Follows “{name}”: bids {percentWords(hours[now])} at this hour.{' '}
          </span>
        );
      })}
      {trial && 'A trial by weeks switches it.'}
    </p>
  );
}
