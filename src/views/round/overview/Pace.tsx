import Button from '@mui/material/Button';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { monthOf, monthPace } from '../../../core/pace';
import { formatShare, MICROS_PER_UNIT, toMicros } from '../../../core/units';
import type { AccountInfo } from '../../../contract/api';
import type { OverviewAnswer } from '../../../contract/field';
import { api } from '../../shared/api';

const MONTHS = 'January February March April May June July August September October November December'.split(
  ' ',
);
const whole = (micros: number) => Math.round(micros / MICROS_PER_UNIT).toLocaleString('en-GB');

/** The month against its goal: done, expected by now, and what it comes to. */
export function Pace({ account, overview }: { account: AccountInfo; overview: OverviewAnswer }) {
  const { lastDay, goal } = overview.month;
  const [isEditing, setEditing] = useState(false);
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
      <table className="plain">
        <thead>
          <tr>
            <th>{account.currency}</th>
            <th className="figure">So far</th>
            <th className="figure">Goal</th>
            <th
              className="figure"
              title="So far, of what should be there by now; weekdays count as they usually do"
            >
              Pace
            </th>
            <th className="figure" title="What the month comes to if it goes on like this">
              Forecast
            </th>
          </tr>
        </thead>
        <tbody>
          {lines.map(({ label, pace: one }) => (
            <tr key={label}>
              <td>{label}</td>
              <td className="figure">{whole(one.done)}</td>
              <td className="figure">{one.goal === null ? '–' : whole(one.goal)}</td>
              <td className="figure">{formatShare(one.pace, 0)}</td>
              <td className="figure">{one.forecast === null ? '–' : whole(one.forecast)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {isEditing ? (
        <GoalForm account={account} overview={overview} onDone={() => setEditing(false)} />
      ) : (
        <Button onClick={() => setEditing(true)} sx={{ padding: '2px 0' }}>
          {goal ? 'Change the goal' : 'Set a goal for the month'}
        </Button>
      )}
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
  const text = (micros: number | null | undefined) =>
    micros == null ? '' : String(micros / MICROS_PER_UNIT);
  const [sales, setSales] = useState(text(goal?.sales));
  const [spend, setSpend] = useState(text(goal?.spend));
  const read = (value: string) => {
    const number = Number(value.replace(',', '.'));
    return value.trim() === '' ? null : Number.isFinite(number) && number > 0 ? toMicros(number) : undefined;
  };
  const [salesGoal, spendGoal] = [read(sales), read(spend)];
  const keep = useMutation({
    mutationFn: () =>
      api.setMonthGoal(account.id, {
        month: monthOf(lastDay),
        sales: salesGoal ?? null,
        spend: spendGoal ?? null,
      }),
    onSuccess: () => client.invalidateQueries({ queryKey: ['overview', account.id] }).then(onDone),
  });
  const isWrong = salesGoal === undefined || spendGoal === undefined;
  return (
    <form
      className="bar"
      style={{ marginTop: 4 }}
      onSubmit={(event) => {
        event.preventDefault();
        if (!isWrong) keep.mutate();
      }}
    >
      <input
        aria-label="Goal for total sales"
        placeholder="sales"
        size={7}
        value={sales}
        onChange={(event) => setSales(event.target.value)}
      />
      <input
        aria-label="Plan for spend"
        placeholder="spend"
        size={7}
        value={spend}
        onChange={(event) => setSpend(event.target.value)}
      />
      <Button type="submit" variant="contained" disabled={isWrong}>
        Keep
      </Button>
      <Button onClick={onDone}>Leave</Button>
      {isWrong && <span className="over">Type amounts, or nothing for none.</span>}
      {keep.error && <span className="over">{keep.error.message}</span>}
    </form>
  );
}
