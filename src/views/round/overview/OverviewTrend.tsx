import Box from '@mui/material/Box';
import { useState } from 'react';
import { Trend } from '../../../charts';
import { businessMeasure, BUSINESS_MEASURES, measure, MEASURES } from '../../../core/measures';
import type { BusinessMeasureKey, BusinessSums, MeasureKey } from '../../../core/measures';
import { addDays, daysIn } from '../../../core/units';
import type { AccountInfo } from '../../../contract/api';
import type { OverviewAnswer } from '../../../contract/field';
import { changeMark } from '../../shared/changeMark';
import { whyNoDays } from '../../shared/summedDays';
import { trendSeries } from '../../shared/trendSeries';
import { recall, remember } from '../../shared/remembered';
import { sumDays } from './figures';
import { Choice } from '../../shared/kit';
import type { Option } from '../../shared/kit';

const OFFERED = [...BUSINESS_MEASURES.filter(({ key }) => key !== 'profit'), ...MEASURES];
const specOf = (key: string) =>
  BUSINESS_MEASURES.some((one) => one.key === key)
    ? businessMeasure(key as BusinessMeasureKey)
    : measure(key as MeasureKey);
const KEPT = 'overview-measures';

/** Two or three measures of the whole account on one time line, with what was changed. */
export function OverviewTrend({ account, overview }: { account: AccountInfo; overview: OverviewAnswer }) {
  const [keys, setKeys] = useState(() => recall<string[]>(KEPT, ['spend', 'totalSales']));
  const { window, before, days, changes } = overview;
  const last = [window.unsettled.at(-1) ?? window.to, before.to].sort()[1];
  const first = [before.from, window.from].sort()[0];
  const count = daysIn(first, last);
  const summed = whyNoDays(account, { from: first, to: last });
  if (summed !== null) return null;
  const set = (at: number, key: string) => {
    const next = [...keys];
    if (key === '') next.splice(at, 1);
    else next[at] = key;
    setKeys(next);
    remember(KEPT, next);
  };
  const sums = Array.from({ length: count }, (_, at) => {
    const day = addDays(first, at);
    return sumDays(days, day, day);
  });
  return (
    <section aria-label="Day by day">
      <div className="bar">
        <Box component="h2" className="serif part" sx={{ marginRight: '8px' }}>
          Day by day
        </Box>
        {Array.from({ length: Math.min(3, keys.length + 1) }, (_, at) => (
          <Choice
            label={`Measure ${at + 1}`}
            value={keys[at] ?? ''}
            onChange={(next) => set(at, next)}
            key={at}
          >
            {[
              ...(at > 0 ? [['', keys[at] ? 'none' : 'and …'] as const] : []),
              ...OFFERED.map(({ key, label }): Option => [key, label]),
            ]}
          </Choice>
        ))}
      </div>
      <Box sx={{ height: 190 }}>
        <Trend
          from={first}
          days={count}
          series={keys.map((key) => {
            const spec = specOf(key);
            const of = spec.of as (sums: BusinessSums) => number | null;
            return trendSeries(spec, sums.map(of));
          })}
          marks={changes.map(changeMark)}
          windowFrom={window.from}
          settledTo={window.to}
          label="The account day by day"
        />
      </Box>
    </section>
  );
}
