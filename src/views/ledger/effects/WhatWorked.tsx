import Box from '@mui/material/Box';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { useQuery } from '@tanstack/react-query';
import { CHANGE_PURPOSES } from '../../../core/changes';
import { formatCount, formatDay } from '../../../core/units';
import type { AccountInfo } from '../../../contract/api';
import { api } from '../../shared/api';
import { signed } from '../../shared/tray/money';
import { howMeasured, VERDICTS } from './effectWords';
import { movedCells } from './MovedCells';
import { TrialVerdicts } from './TrialVerdicts';
import { ProfitCell } from './ProfitCell';
import { Facts } from '../../shared/kit';
import { WORKED_TITLE } from './title';

/** Which kinds of changes did what they should, over all bales. */
export function WhatWorked({ account }: { account: AccountInfo }) {
  const { data, error } = useQuery({
    queryKey: ['sort-effects', account.id, account.lastDay],
    queryFn: () => api.purposeEffects(account.id),
  });
  return (
    <>
      <h2 className="pageTitle">{WORKED_TITLE}</h2>
      <Box component="p" className="faint" sx={{ margin: '0 0 12px', maxWidth: 760 }}>
        Compares the days after each change with the same weekdays before it, allowing for what similar
        untouched targets did. Ranges are 80 % intervals; one that is clear of the middle line is hardly
        chance. The verdict is by profit, or by ACOS where costs are not known.{' '}
        {data && `Orders are complete to ${formatDay(data.settledThrough)}.`}
      </Box>
      {error && (
        <p role="alert" className="over">
          {error.message}
        </p>
      )}
      {!data && !error && <p className="faint">Measuring …</p>}
      {data?.purposes.length === 0 && (
        <p className="faint">
          No change has been accepted yet. The effect of the first bale shows here about twelve days later.
        </p>
      )}
      {data && data.purposes.length > 0 && (
        <Facts aria-label="Effects by kind of change">
          <TableHead>
            <TableRow>
              <TableCell>Changes</TableCell>
              <TableCell className="figure">Number</TableCell>
              <TableCell className="figure">Spend {account.currency}</TableCell>
              <TableCell className="figure">Sales {account.currency}</TableCell>
              <TableCell className="figure">ACOS</TableCell>
              <TableCell className="figure">Profit {account.currency}/mo</TableCell>
              <TableCell>Verdict</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {data.purposes.map(({ purpose, changes, mixed, expected, effect }) => (
              <TableRow key={purpose}>
                <TableCell sx={{ maxWidth: 320 }}>
                  <strong>{CHANGE_PURPOSES[purpose]}</strong>
                  <div className="faint small">
                    {howMeasured(effect)}
                    {mixed > 0 &&
                      ` ${formatCount(mixed)} left out: other kinds of changes were made on them the same day.`}
                  </div>
                </TableCell>
                <TableCell className="figure">{formatCount(changes)}</TableCell>
                {movedCells(effect).map(({ key, cell }) => (
                  <TableCell key={key} className="figure">
                    {cell}
                  </TableCell>
                ))}
                <TableCell className="figure">
                  <ProfitCell effect={effect} />
                </TableCell>
                <TableCell
                  className={
                    effect.verdict === 'against' ? 'over' : effect.verdict === 'as wanted' ? 'under' : 'faint'
                  }
                >
                  {effect.measured + effect.waiting === 0 && effect.verdict === 'too early'
                    ? 'not told apart'
                    : VERDICTS[effect.verdict]}
                  {effect.measured === 0 && (expected.spend !== 0 || expected.sales !== 0) && (
                    <div className="faint small">
                      expected: spend {signed(expected.spend)}, sales {signed(expected.sales)}{' '}
                      {account.currency} a month
                    </div>
                  )}
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Facts>
      )}
      <TrialVerdicts account={account} />
    </>
  );
}
