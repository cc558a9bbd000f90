import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import { Measured, OpenHours } from '../../../charts';
import type { AccountInfo } from '../../../contract/api';
import { budgetReason, DRY_DAYS, HOURS } from '../../../core/budgets';
import { addDays, DASH, formatCount, formatMoney, formatShare } from '../../../core/units';
import type { BudgetRow } from '../../../plans/budgets';
import { EvidenceName } from '../../shared/evidence/EvidenceName';
import { RunsNow } from '../../shared/hours/RunsNow';
import { Facts } from '../../shared/kit';
import { LaterForm } from '../bids/LaterForm';
import { StepEvidence } from '../frame/StepEvidence';
import { HoldByBids } from './HoldByBids';
import type { BudgetWork } from './useBudgetWork';
import { WhoTakes } from './WhoTakes';

interface BudgetEvidenceProps {
  account: AccountInfo | undefined;
  work: BudgetWork;
  row: number | null;
}

/** Why the focused campaign's budget is proposed, and when its money ran out. */
export function BudgetEvidence({ account, work, row }: BudgetEvidenceProps) {
  const { loaded, plan, decisions } = work;
  return (
    <StepEvidence>
      {account && loaded && plan && row !== null && plan.rows[row] ? (
        <>
          <EvidenceName name={loaded.table.name[row]} place={loaded.table.place[row]} />
          <RunsNow account={account} campaignId={loaded.table.campaignId[row]} />
          <p className="line">{budgetReason(plan.rows[row])}</p>
          <div className="bar">
            <LaterForm
              today={account.today}
              onLater={(until) => void decisions.put([plan.rows[row].campaignId], 'later', { until })}
            />
          </div>
          <HoldByBids work={work} row={plan.rows[row]} currency={account.currency} />
          <Money row={plan.rows[row]} currency={account.currency} />
          <Hours row={plan.rows[row]} lastDay={account.lastDay} />
          <WhoTakes
            account={account}
            campaignId={plan.rows[row].campaignId}
            campaign={loaded.table.name[row]}
          />
        </>
      ) : null}
    </StepEvidence>
  );
}

type Line = [label: string, value: string, more: string];

function Money({ row, currency }: { row: BudgetRow; currency: string }) {
  const { from, to, spend, demand, need, cpc, rpc, missed, isLeast, byBids, perMonth, now, after } = row;
  const acos = (month: BudgetRow['now']) => formatShare(month.sales > 0 ? month.spend / month.sales : null);
  const needs: Line = ['Needs', formatMoney(need), need < spend ? 'for this step' : 'to be stopped seldom'];
  const lines: Line[] = [
    ['Budget a day', formatMoney(from), to === from ? '' : `→ ${formatMoney(to)}`],
    ['Clicks cost a day', formatMoney(spend), `${formatMoney(demand)} at the plan’s bids`],
    ...(byBids === null ? [needs] : []),
    ['A click costs', formatMoney(cpc), `and brings ${formatMoney(rpc)}`],
    ['A further euro sells', cpc > 0 ? formatMoney((rpc / cpc) * 1e6) : DASH, 'while it runs dry'],
    [
      'Missed a month',
      missed.sales > 0 ? formatMoney(missed.sales * perMonth) : DASH,
      missed.sales > 0
        ? isLeast
          ? 'or more: its budget pays for too few clicks to tell'
          : `${formatMoney(missed.low * perMonth)}–${formatMoney(missed.high * perMonth)} (80 %)`
        : '',
    ],
    ['Month now', formatMoney(now.sales), `spend ${formatMoney(now.spend)}, ACOS ${acos(now)}`],
    ['Month after', formatMoney(after.sales), `spend ${formatMoney(after.spend)}, ACOS ${acos(after)}`],
  ];
  return (
    <Facts sx={{ fontSize: 12.5, marginTop: '8px' }} aria-label={`Budget, ${currency}`}>
      <TableBody>
        {lines.map(([label, value, more]) => (
          <TableRow key={label}>
            <TableCell className="faint">
              {label.replace('euro', currency === 'EUR' ? 'euro' : currency)}
            </TableCell>
            <TableCell className="figure">{value}</TableCell>
            <TableCell className="figure faint">{more}</TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Facts>
  );
}

function Hours({ row, lastDay }: { row: BudgetRow; lastDay: string | null }) {
  if (lastDay === null || row.days === 0)
    return <p className="note">When it ran dry can be told once reports by hour are in.</p>;
  const dry = new Map(row.dry.map((one) => [one.age, one]));
  const isEven = row.dry.some(({ from }) => from === null);
  const days = Array.from({ length: DRY_DAYS }, (_, at) => DRY_DAYS - 1 - at).map((age) => ({
    day: addDays(lastDay, -age),
    until: dry.get(age)?.from ?? HOURS,
    came: dry.get(age)?.clicks ?? 0,
    missed: dry.get(age)?.missed ?? 0,
  }));
  const title = isEven ? 'Clicks that its money paid for' : 'Hours with money';
  return (
    <section aria-label={title}>
      <strong className="small">
        {title}, {formatCount(DRY_DAYS)} days
      </strong>
      <Measured>{(width) => <OpenHours days={days} isEven={isEven} width={width} />}</Measured>
    </section>
  );
}
