import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Button from '@mui/material/Button';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { monthOf, monthPace } from '../../../core/pace';
import { addDays, MICROS_PER_UNIT, formatCount, formatShare } from '../../../core/units';
import type { AccountInfo } from '../../../contract/api';
import type { OverviewAnswer } from '../../../contract/field';
import { api } from '../../shared/api';
import { whyNoDays } from '../../shared/summedDays';
import { Facts, Fault, MoneyField } from '../../shared/kit';
import { MONTHS } from './months';
import { PartPaces } from './PartPaces';
import { YearPlan } from './YearPlan';

/** What an arrow key adds to a goal of a month, micros. */
const WHOLE_STEP = 100 * MICROS_PER_UNIT;
const whole = (micros: number) => formatCount(Math.round(micros / MICROS_PER_UNIT));

/** The month against its goal: done, expected by now, and what it comes to. */
export function Pace({ account, overview }: { account: AccountInfo; overview: OverviewAnswer }) {
  const { lastDay, goal } = overview.month;
  const [isEditing, setEditing] = useState(false);
  const [isYear, setYear] = useState(false);
  // A month is paced by its days, and by those of the weeks before.
  if (whyNoDays(account, { from: addDays(monthOf(lastDay), -56), to: lastDay }) !== null) return null;
  const amounts = (of: (day: OverviewAnswer['days'][number]) => number) =>
    new Map(overview.days.map((one) => [one.day, of(one)]));
  const lines = [
    {
      // Of an account fed by ad reports alone only these are known.
      label: overview.days.some(({ totalSales }) => totalSales !== null) ? 'Total sales' : 'Ad sales',
      pace: monthPace(
        amounts(({ totalSales, sales }) => totalSales ?? sales),
        lastDay,
        goal?.sales ?? null,
      ),
    },
    {
      label: 'Spend',
      pace: monthPace(
        amounts(({ spend }) => spend),
        lastDay,
        goal?.spend ?? null,
      ),
    },
  ];
  const [{ pace }] = lines;
  return (
    <section aria-label="Month">
      <h2 className="serif part">
        {MONTHS[Number(lastDay.slice(5, 7)) - 1]}: day {pace.daysGone} of {pace.days}
      </h2>
      <Facts>
        <TableHead>
          <TableRow>
            <TableCell>{account.currency}</TableCell>
            <TableCell className="figure">So far</TableCell>
            <TableCell className="figure">Goal</TableCell>
            <TableCell
              className="figure"
              title="So far, as a share of what is usual by this day; weekdays weighed"
            >
              Pace
            </TableCell>
            <TableCell
              className="figure"
              title="What the month will come to at this rate, with the 80 % interval"
            >
              Forecast
            </TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {lines.map(({ label, pace: one }) => (
            <TableRow key={label}>
              <TableCell>{label}</TableCell>
              <TableCell className="figure">{whole(one.done)}</TableCell>
              <TableCell className="figure">{one.goal === null ? '–' : whole(one.goal)}</TableCell>
              <TableCell className="figure">{formatShare(one.pace, 0)}</TableCell>
              <TableCell
                className="figure"
                title={
                  one.low === null || one.high === null
                    ? undefined
                    : `${whole(one.low)}–${whole(one.high)} (80 %)`
                }
              >
                {one.forecast === null ? '–' : whole(one.forecast)}
                {one.low !== null && one.high !== null && one.forecast !== null && (
                  <span className="faint"> ±{whole((one.high - one.low) / 2)}</span>
                )}
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Facts>
      {isEditing ? (
        <GoalForm account={account} overview={overview} onDone={() => setEditing(false)} />
      ) : (
        <div className="bar">
          <Button onClick={() => setEditing(true)} sx={{ padding: '2px 0' }}>
            {goal ? 'Change the goal' : 'Set a goal for the month'}
          </Button>
          <Button onClick={() => setYear(true)} sx={{ padding: '2px 0' }}>
            Plan the year …
          </Button>
        </div>
      )}
      <PartPaces account={account} />
      {isYear && <YearPlan account={account} year={lastDay.slice(0, 4)} onDone={() => setYear(false)} />}
    </section>
  );
}

function GoalForm({
  account,
  overview,
  onDone,
}: {
  account: AccountInfo;
  overview: OverviewAnswer;
  onDone: () => void;
}) {
  const { goal, lastDay } = overview.month;
  const client = useQueryClient();
  const [sales, setSales] = useState(goal?.sales ?? null);
  const [spend, setSpend] = useState(goal?.spend ?? null);
  const keep = useMutation({
    mutationFn: () => api.setMonthGoal(account.id, { month: monthOf(lastDay), sales, spend }),
    onSuccess: () => client.invalidateQueries({ queryKey: ['overview', account.id] }).then(onDone),
  });
  return (
    <form
      className="bar"
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate();
      }}
    >
      <MoneyField
        label="Sales"
        micros={sales}
        currency={account.currency}
        step={WHOLE_STEP}
        onMicros={setSales}
        onNone={() => setSales(null)}
      />
      <MoneyField
        label="Spend"
        micros={spend}
        currency={account.currency}
        step={WHOLE_STEP}
        onMicros={setSpend}
        onNone={() => setSpend(null)}
      />
      <Button type="submit" variant="contained" disabled={keep.isPending}>
        Keep
      </Button>
      <Button onClick={onDone}>Leave</Button>
      <Fault error={keep.error} />
    </form>
  );
}
