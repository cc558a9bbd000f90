import Box from '@mui/material/Box';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { measure, NO_SUMS } from '../../../core/measures';
import type { MeasureKey } from '../../../core/measures';
import { addDays, daysIn } from '../../../core/units';
import { Trend } from '../../../charts';
import { api } from '../../shared/api';
import { changeMark } from '../../shared/changeMark';
import { whyNoDays } from '../../shared/summedDays';
import { trendSeries } from '../../shared/trendSeries';
import { idsOf } from '../../shared/rowRequest';
import type { PictureProps } from './pictureProps';

/** So many rows are asked for by their ids; of more, those with the highest spend. */
const MOST_ROWS = 20_000;

/** Two or three measures of all rows together, day by day, with what was changed. */
export function TrendPicture({ account, loaded, state, all }: PictureProps) {
  const { table, window, before } = loaded;
  const last = [window.unsettled.at(-1) ?? window.to, before.to].sort()[1];
  const from = [before.from, window.from].sort()[0];
  const rows = useMemo(() => {
    if (all.length <= MOST_ROWS) return all;
    return all
      .slice()
      .sort((a, b) => table.now.spend[b] - table.now.spend[a])
      .slice(0, MOST_ROWS);
  }, [all, table]);
  const days = useQuery({
    queryKey: ['days', account.id, loaded.loadId, rows.length, hashOf(rows), from, last],
    queryFn: () => api.rowDays({ account: account.id, ...idsOf(table, rows), from, to: last }),
    enabled: rows.length > 0 && whyNoDays(account, { from, to: last }) === null,
    staleTime: Infinity,
  });
  if (rows.length === 0) return null;
  const summed = whyNoDays(account, { from, to: last });
  if (summed !== null)
    return (
      <Box component="p" className="faint" sx={{ padding: '16px' }}>
        {summed}
      </Box>
    );
  if (days.error)
    return (
      <Box component="p" className="over" sx={{ padding: '16px' }}>
        {days.error.message}
      </Box>
    );
  if (!days.data)
    return (
      <Box component="p" className="faint" sx={{ padding: '16px' }}>
        Adding up the days …
      </Box>
    );
  const byDay = new Map(days.data.days.map((one) => [one.day, one]));
  const count = daysIn(from, last);
  const sums = Array.from({ length: count }, (_, at) => byDay.get(addDays(from, at)) ?? NO_SUMS);
  const keys = state.measures.filter((key): key is MeasureKey => measure(key as MeasureKey) !== undefined);
  return (
    <Trend
      from={from}
      days={count}
      series={keys.map((key) => trendSeries(measure(key), sums.map(measure(key).of)))}
      marks={days.data.changes.map(changeMark)}
      windowFrom={window.from}
      settledTo={window.to}
      label={`${keys.map((key) => measure(key).label).join(' and ')} of the rows shown, day by day`}
    />
  );
}

/** Tells one set of rows from another. */
function hashOf(rows: Int32Array): number {
  let hash = 7;
  for (const row of rows) hash = (Math.imul(hash, 31) + row) | 0;
  return hash;
}
