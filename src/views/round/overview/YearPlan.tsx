import Button from '@mui/material/Button';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import type { PlannedMonth } from '../../../contract/money';
import { MICROS_PER_UNIT, formatCount, formatShare } from '../../../core/units';
import { api } from '../../shared/api';
import { Ask, Facts, Fault, Loading, MoneyField } from '../../shared/kit';
import { MONTHS } from './months';

const WHOLE_STEP = 100 * MICROS_PER_UNIT;
const whole = (micros: number | null) =>
  micros === null ? '–' : formatCount(Math.round(micros / MICROS_PER_UNIT));

interface YearPlanProps {
  account: AccountInfo;
  /** The year that is shown first. */
  year: string;
  onDone: () => void;
}

/** The months of a year with what each may spend and is to sell, set ahead. */
export function YearPlan({ account, year: first, onDone }: YearPlanProps) {
  const [year, setYear] = useState(Number(first));
  const client = useQueryClient();
  const { data, error } = useQuery({
    queryKey: ['year', account.id, year],
    queryFn: () => api.year(account.id, String(year)),
  });
  const keep = useMutation({
    mutationFn: ({ month, sales, spend }: PlannedMonth) =>
      api.setMonthGoal(account.id, { month, sales, spend }),
    onSuccess: () =>
      Promise.all(
        ['year', 'overview', 'money'].map((name) =>
          client.invalidateQueries({ queryKey: [name, account.id] }),
        ),
      ),
  });
  const sum = (of: (month: PlannedMonth) => number | null) =>
    (data?.months ?? []).reduce((all, month) => all + (of(month) ?? 0), 0);
  return (
    <Ask title={`Plan of ${year}`} does={null} maxWidth="md" onDone={onDone}>
      <div className="bar">
        <Button onClick={() => setYear(year - 1)}>{year - 1}</Button>
        <Button onClick={() => setYear(year + 1)}>{year + 1}</Button>
        <span className="faint">
          Each month is kept as it is set. Spend goes by the weekdays that are gone of it.
        </span>
      </div>
      <Fault error={error ?? keep.error} />
      {!data ? (
        <Loading>Reading the year …</Loading>
      ) : (
        <Facts>
          <TableHead>
            <TableRow>
              <TableCell>{account.currency}</TableCell>
              <TableCell className="figure">May spend</TableCell>
              <TableCell className="figure">Spent</TableCell>
              <TableCell className="figure">of it</TableCell>
              <TableCell className="figure">Is to sell</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {data.months.map((one, at) => (
              <TableRow key={one.month}>
                <TableCell>{MONTHS[at]}</TableCell>
                <TableCell className="figure">
                  {goal(`${MONTHS[at]}, spend`, one.spend, (spend) => keep.mutate({ ...one, spend }))}
                </TableCell>
                <TableCell className="figure">{whole(one.spent)}</TableCell>
                <TableCell className="figure">
                  {one.spend && one.spent !== null ? formatShare(one.spent / one.spend, 0) : ''}
                </TableCell>
                <TableCell className="figure">
                  {goal(`${MONTHS[at]}, sales`, one.sales, (sales) => keep.mutate({ ...one, sales }))}
                </TableCell>
              </TableRow>
            ))}
            <TableRow>
              <TableCell>
                <strong>Year</strong>
              </TableCell>
              <TableCell className="figure">{whole(sum(({ spend }) => spend))}</TableCell>
              <TableCell className="figure">{whole(sum(({ spent }) => spent))}</TableCell>
              <TableCell />
              <TableCell className="figure">{whole(sum(({ sales }) => sales))}</TableCell>
            </TableRow>
          </TableBody>
        </Facts>
      )}
    </Ask>
  );

  function goal(of: string, micros: number | null, onSet: (micros: number | null) => void) {
    return (
      <MoneyField
        label={of}
        isLabelled={false}
        currency={account.currency}
        micros={micros}
        least={MICROS_PER_UNIT}
        step={WHOLE_STEP}
        onMicros={onSet}
        onNone={() => onSet(null)}
      />
    );
  }
}
