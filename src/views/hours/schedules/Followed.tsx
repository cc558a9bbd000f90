import Button from '@mui/material/Button';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import type { AccountInfo } from '../../../contract/api';
import type { RunningSchedule, SchedulesAnswer } from '../../../contract/schedules';
import { groupBy } from '../../../core/order';
import { readWeek, weekWords } from '../../../core/schedules';
import { formatCount } from '../../../core/units';
import { Facts } from '../../shared/kit';
import { useCampaignNames } from './useCampaignNames';
import { useFollow } from './useFollow';

/** Which campaigns follow what, and where two schedules hold at once. */
export function Followed({ account, schedules }: { account: AccountInfo; schedules: SchedulesAnswer }) {
  const { running } = schedules;
  const nameOf = useCampaignNames(account);
  const { follow, isBusy } = useFollow(account);
  if (running.length === 0) return null;
  const byWeek = [...groupBy(running, ({ name, week }) => `${name}\n${week}`).values()];
  const twice = [...groupBy(running, ({ campaignId }) => campaignId).values()].filter(
    ({ length }) => length > 1,
  );
  const end = (list: readonly RunningSchedule[]) =>
    follow({ campaigns: [...new Set(list.map(({ campaignId }) => campaignId))], follow: null, bases: 1 });
  return (
    <>
      <h2 className="serif part">What runs now</h2>
      <Facts aria-label="Schedules that campaigns follow">
        <TableBody>
          {byWeek.map((list) => {
            const [{ name, week }] = list;
            const names = list.map(({ campaignId }) => nameOf(campaignId)).join(', ');
            return (
              <TableRow key={`${name} ${week}`}>
                <TableCell>{name}</TableCell>
                <TableCell className="faint">{weekWords(readWeek(week)!)}</TableCell>
                <TableCell title={names}>
                  {list.length === 1 ? names : `${formatCount(list.length)} campaigns`}
                </TableCell>
                <TableCell>
                  <Button data-may="decide" disabled={isBusy} onClick={() => end(list)}>
                    End
                  </Button>
                </TableCell>
              </TableRow>
            );
          })}
        </TableBody>
      </Facts>
      {twice.length > 0 && (
        <p className="note warning">
          {formatCount(twice.length)} {twice.length === 1 ? 'campaign follows' : 'campaigns follow'} two
          schedules at once, and bids go by both:{' '}
          {twice.map(([{ campaignId }]) => nameOf(campaignId)).join(', ')}. End one of them.
        </p>
      )}
    </>
  );
}
