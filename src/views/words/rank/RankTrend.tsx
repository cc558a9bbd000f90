import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Trend } from '../../../charts';
import type { TrendSeries } from '../../../charts';
import type { RankDaysAnswer } from '../../../contract/rank';
import type { RankRow } from '../../../core/rank';
import { addDays, formatDay } from '../../../core/units';
import { api } from '../../shared/api';
import { changeMark } from '../../shared/changeMark';
import { Choice, Fault } from '../../shared/kit';
import type { Option } from '../../shared/kit';
import { trendSeries } from '../../shared/trendSeries';
import { useRemembered } from '../../shared/useRemembered';
import { rankSeries } from '../../shared/rank/rankSeries';

/** Measures of a product's term by day. */
const SERIES = {
  rank: 'Organic rank',
  searches: 'Searches a week',
  spend: 'Ad spend',
  clicks: 'Ad clicks',
  orders: 'Ad orders',
  sales: 'Ad sales',
  allOrders: 'All orders of the product',
  allSales: 'All sales of the product',
} as const;
type SeriesKey = keyof typeof SERIES;
const MONEY: ReadonlySet<SeriesKey> = new Set(['spend', 'sales', 'allSales']);
const NONE = 'none';
const SPANS = [30, 60, 90, 180];
const MEASURES = 3;

/** A product's term over time: up to three measures, dragged over to look closer. */
export function RankTrend({ account, row }: { account: number; row: RankRow }) {
  const [keys, setKeys] = useRemembered<(SeriesKey | null)[]>('rank-series', ['rank', 'spend', null]);
  const [days, setDays] = useRemembered('rank-days', 180);
  const [zoom, setZoom] = useState<{ from: string; to: string } | null>(null);
  const { data, error } = useQuery({
    queryKey: ['rank-days', account, row.productId, row.termId, zoom ?? days],
    queryFn: () => api.rankDays({ account, product: row.productId, term: row.termId, ...(zoom ?? { days }) }),
    placeholderData: keepPreviousData,
    staleTime: 60_000,
  });
  const chosen = keys.filter((key) => key !== null);
  return (
    <section aria-label="Over time" className="rankTrend">
      <div className="bar">
        <strong className="cut">{row.term}</strong>
        {Array.from({ length: MEASURES }, (_, at) => (
          <Choice
            key={at}
            label={`Measure ${at + 1}`}
            value={keys[at] ?? NONE}
            onChange={(next) =>
              setKeys(
                Array.from({ length: MEASURES }, (_, place) =>
                  place === at ? (next === NONE ? null : (next as SeriesKey)) : (keys[place] ?? null),
                ),
              )
            }
          >
            {[
              ...(at > 0 ? [[NONE, 'no measure'] as Option] : []),
              ...Object.entries(SERIES).map(([key, words]): Option => [key, words]),
            ]}
          </Choice>
        ))}
        <Choice
          label="Days shown"
          value={days}
          onChange={(next) => {
            setDays(Number(next));
            setZoom(null);
          }}
        >
          {SPANS.map((span): Option => [span, `${span} days`])}
        </Choice>
        {zoom && (
          <Button onClick={() => setZoom(null)}>
            {formatDay(zoom.from)} – {formatDay(zoom.to)}: show all
          </Button>
        )}
      </div>
      <Box sx={{ height: 188 }}>
        {error ? (
          <Fault error={error} />
        ) : (
          data && (
            <Trend
              from={data.from}
              days={data.rank.length}
              series={chosen.map((key) => seriesOf(key, data))}
              marks={data.changes.map(changeMark)}
              windowFrom={data.from}
              settledTo={lastOf(data)}
              label={`${row.term} day by day; drag over days to look closer`}
              onZoom={(from, to) => setZoom({ from, to })}
            />
          )
        )}
      </Box>
    </section>
  );
}

/** Later days are drawn grey: their orders are coming in. */
function lastOf({ from, rank, settledTo }: RankDaysAnswer): string {
  const last = addDays(from, rank.length - 1);
  return settledTo < from ? from : settledTo < last ? settledTo : last;
}

function seriesOf(key: SeriesKey, data: RankDaysAnswer): TrendSeries {
  const label = SERIES[key];
  if (key === 'rank') return rankSeries(label, data.rank);
  return trendSeries(
    { label, unit: MONEY.has(key) ? 'money' : 'count', decimals: MONEY.has(key) ? 2 : 0 },
    data[key],
  );
}
