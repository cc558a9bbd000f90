import Box from '@mui/material/Box';
import { useQuery } from '@tanstack/react-query';
import { Trend } from '../../../charts';
import { addDays } from '../../../core/units';
import { api } from '../api';
import { pageLink } from '../frame/pages';
import { PlaceLink } from '../kit';
import { rankSeries } from '../rank/rankSeries';

/** Where a product stands without ads, for one term or for those that are searched most; nothing where no rank is told. */
export function RankLines({ account, product, term }: { account: number; product: number; term?: number }) {
  const { data } = useQuery({
    queryKey: ['rank-lines', account, product, term],
    queryFn: () => api.rankLines({ account, product, term }),
    staleTime: 60_000,
  });
  if (!data || data.lines.length === 0) return null;
  const { from, lines } = data;
  const days = lines[0].rank.length;
  return (
    <section aria-label="Organic rank">
      <h3 className="part">Organic rank</h3>
      <Box sx={{ height: 130 }}>
        <Trend
          from={from}
          days={days}
          series={lines.map((one) => rankSeries(one.term, one.rank))}
          marks={[]}
          windowFrom={from}
          settledTo={addDays(from, days - 1)}
          label="Organic rank day by day"
        />
      </Box>
      <PlaceLink
        href={`${pageLink('words', account)}&part=rank&where=${encodeURIComponent(`term~${lines[0].term}`)}`}
      >
        Rank beside ads
      </PlaceLink>
    </section>
  );
}
