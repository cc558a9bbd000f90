import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
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
  const running = schedules.rows.filter(({ left }) => left !== 'not running');
  const all = campaigns ?? running.map(({ campaignId }) => campaignId);
  const wanted = new Set(all);
  // Where money decides, what raised bids would win is not told.
  const roomy = running.filter(({ campaignId, isHeld }) => !isHeld && wanted.has(campaignId));
  const ids = roomy.map(({ campaignId }) => campaignId);
  const still = useStill(week);
  const { data: moves } = usePrice(account, schedules, still, ids);
  const { data: price } = usePrice(account, schedules, still, all);
  const signed = (micros: number) => `${micros < 0 ? '−' : '+'}${formatMoney(Math.abs(micros))}`;
  return (
    <>
      {moves && ids.length > 0 && (
        <p className="line">
          In{' '}
          {campaigns ? `these ${formatCount(ids.length)} campaigns` : 'campaigns with room in their budget'},
          a month: spend {signed(moves.spend)} of {formatMoney(moves.now.spend)} {account.currency}, sales{' '}
          {signed(moves.sales)} of {formatMoney(moves.now.sales)}
          {acosWords(moves)}.
        </p>
      )}
      {price && price.offHours > 0 && (
        <p className="note warning">
          Off for {formatCount(price.offHours)} hours a week: they spend {formatMoney(price.off.spend)} and
          sell {formatMoney(price.off.sales)} {account.currency} a month (
          {formatShare(price.now.sales > 0 ? price.off.sales / price.now.sales : null)} of sales
          {!campaigns && ' of all campaigns'}). Buyers who see an ad at one hour may buy at another.
        </p>
      )}
    </>
  );
}

/** A hand that paints by keys changes the week many times a second: what it costs is asked once it rests. */
const RESTS_AFTER_MS = 300;

function useStill(week: string): string {
  const [still, setStill] = useState(week);
  useEffect(() => {
    const timer = setTimeout(() => setStill(week), RESTS_AFTER_MS);
    return () => clearTimeout(timer);
  }, [week]);
  return still;
}

const usePrice = (account: AccountInfo, { window }: SchedulesAnswer, week: string, ids: readonly number[]) =>
  useQuery({
    queryKey: ['week-price', account.id, account.revision, week, ids],
    queryFn: () => api.weekPrice(account.id, ids, week),
    enabled: window !== null && ids.length > 0,
    placeholderData: (before) => before,
  });

function acosWords({ now, spend, sales }: WeekPrice): string {
  const after = now.sales + sales;
  return now.sales > 0 && after > 0
    ? `; ACOS ${formatShare(now.spend / now.sales)} → ${formatShare((now.spend + spend) / after)}`
    : '';
}
