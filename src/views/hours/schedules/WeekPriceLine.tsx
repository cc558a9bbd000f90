import { useQuery } from '@tanstack/react-query';
import type { AccountInfo } from '../../../contract/api';
import type { SchedulesAnswer, WeekPrice } from '../../../contract/schedules';
import { formatCount, formatMoney, formatShare } from '../../../core/units';
import { api } from '../../shared/api';

interface WeekPriceLineProps {
  account: AccountInfo;
  schedules: SchedulesAnswer;
  week: string;
  /** In these campaigns; all that run without. */
  campaigns?: readonly number[];
}

/** What a week would do in a month, and what the hours that it switches off sell: told before it is done. */
export function WeekPriceLine({ account, schedules, week, campaigns }: WeekPriceLineProps) {
  const ids =
    campaigns ??
    schedules.rows.filter(({ left }) => left !== 'not running').map(({ campaignId }) => campaignId);
  const { data } = useQuery({
    queryKey: ['week-price', account.id, account.revision, week, ids],
    queryFn: () => api.weekPrice(account.id, ids, week),
    enabled: schedules.window !== null && ids.length > 0,
    placeholderData: (before) => before,
  });
  if (!data) return null;
  const signed = (micros: number) => `${micros < 0 ? '−' : '+'}${formatMoney(Math.abs(micros))}`;
  return (
    <>
      <p className="line">
        In {campaigns ? `these ${formatCount(ids.length)} campaigns` : 'all campaigns that run'}, a month:
        spend {signed(data.spend)} of {formatMoney(data.now.spend)} {account.currency}, sales{' '}
        {signed(data.sales)} of {formatMoney(data.now.sales)}
        {acosWords(data)}.
      </p>
      {data.offHours > 0 && (
        <p className="note warning">
          Off for {formatCount(data.offHours)} hours a week: they spend {formatMoney(data.off.spend)} and sell{' '}
          {formatMoney(data.off.sales)} {account.currency} a month (
          {formatShare(data.now.sales > 0 ? data.off.sales / data.now.sales : null)} of sales). Buyers who see
          an ad at one hour may buy at another.
        </p>
      )}
    </>
  );
}

function acosWords({ now, spend, sales }: WeekPrice): string {
  const after = now.sales + sales;
  return now.sales > 0 && after > 0
    ? `; ACOS ${formatShare(now.spend / now.sales)} → ${formatShare((now.spend + spend) / after)}`
    : '';
}
