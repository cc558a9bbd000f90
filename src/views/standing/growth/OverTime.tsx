import Box from '@mui/material/Box';
import { Trend } from '../../../charts';
import type { GrowthInfo, Stage } from '../../../contract/growth';
import { STAGES } from '../../../core/growth';
import { measure } from '../../../core/measures';
import { addDays, counted, dayNumber, daysIn } from '../../../core/units';
import { Choice } from '../../shared/kit';
import type { Option } from '../../shared/kit';
import { trendSeries } from '../../shared/trendSeries';
import { useRemembered } from '../../shared/useRemembered';
import { STAGE_LABELS } from './words';

const ALL = 'all';
const MONEY = { unit: 'money', decimals: 2 } as const;

/** Measures of a plan day by day; its own margin makes sales a profit. */
const SERIES = ['spend', 'sales', 'acos', 'profit', 'after ads'] as const;
type SeriesKey = (typeof SERIES)[number];

/** Spend, sales, ACOS and profit of a plan over time: of all of it, or of the campaigns that are in a stage now. */
export function OverTime({ growth: { days, settled, margin, steps } }: { growth: GrowthInfo }) {
  const [stage, setStage] = useRemembered<Stage | typeof ALL>('growth-stage', ALL);
  const [keys, setKeys] = useRemembered<SeriesKey[]>('growth-series', ['spend', 'sales']);
  const shown = days.filter((one) => stage === ALL || one.stage === stage);
  if (days.length === 0) return null;
  const from = days[0].day;
  const last = days.reduce((to, { day }) => (day > to ? day : to), settled);
  const count = daysIn(from, last);
  const sums = Array.from({ length: count }, () => ({ spend: 0, sales: 0 }));
  for (const { day, spend, sales } of shown) {
    const one = sums[dayNumber(day) - dayNumber(from)];
    one.spend += spend;
    one.sales += sales;
  }
  const offered = SERIES.filter((key) => margin !== null || (key !== 'profit' && key !== 'after ads'));
  const seriesOf = (key: SeriesKey) => {
    switch (key) {
      case 'acos':
        return trendSeries(
          measure('acos'),
          sums.map(({ spend, sales }) => (sales > 0 ? spend / sales : null)),
        );
      case 'profit':
        return trendSeries(
          { label: 'Profit', ...MONEY },
          sums.map(({ sales }) => (margin ?? 0) * sales),
        );
      case 'after ads':
        return trendSeries(
          { label: 'Profit after ads', ...MONEY },
          sums.map(({ spend, sales }) => (margin ?? 0) * sales - spend),
        );
      default:
        return trendSeries(
          measure(key),
          sums.map((one) => one[key]),
        );
    }
  };
  const marks = [...new Set(steps.map(({ day }) => day))].map((day) => {
    const moved = steps.filter((one) => one.day === day).length;
    return { day, count: moved, words: counted(moved, 'move') };
  });
  const words: Record<SeriesKey, string> = {
    spend: 'Spend',
    sales: 'Sales',
    acos: 'ACOS',
    profit: 'Profit',
    'after ads': 'Profit after ads',
  };
  return (
    <section aria-label="Over time">
      <div className="bar">
        <h2 className="part serif">Over time</h2>
        <Choice label="Of" value={stage} onChange={(next) => setStage(next as Stage)}>
          {[[ALL, 'the whole plan'], ...STAGES.map((key): Option => [key, `the stage ${STAGE_LABELS[key]}`])]}
        </Choice>
        {[0, 1].map((at) => (
          <Choice
            key={at}
            label={`Measure ${at + 1}`}
            value={keys[at] ?? offered[at]}
            onChange={(next) => setKeys(keys.map((key, place) => (place === at ? (next as SeriesKey) : key)))}
          >
            {offered.map((key): Option => [key, words[key]])}
          </Choice>
        ))}
      </div>
      <Box sx={{ height: 190 }}>
        <Trend
          from={from}
          days={count}
          series={keys.filter((key) => offered.includes(key)).map(seriesOf)}
          marks={marks.filter(({ day }) => day >= from && day <= addDays(from, count - 1))}
          windowFrom={from}
          settledTo={settled}
          label="The plan day by day"
        />
      </Box>
    </section>
  );
}
