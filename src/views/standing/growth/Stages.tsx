import Button from '@mui/material/Button';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { Fragment, useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import type { GrowthInfo, GrowthMember, Stage } from '../../../contract/growth';
import { STAGES } from '../../../core/growth';
import { formatCount, formatMoney, formatShare } from '../../../core/units';
import { Choice, Facts } from '../../shared/kit';
import type { Option } from '../../shared/kit';
import { STAGE_DOES, STAGE_LABELS } from './words';
import { TakeIn } from './TakeIn';

interface StagesProps {
  account: AccountInfo;
  growth: GrowthInfo;
  onPut: (campaigns: { campaignId: number; stage: Stage | null }[], words: string) => Promise<void>;
}

const BACK = 'back';

/** The campaigns of a plan by stage, with what each may spend and what came of it. */
export function Stages({ account, growth, onPut }: StagesProps) {
  const { members, mayTakeIn, margin, range, money, info } = growth;
  const [isTaking, setTaking] = useState(false);
  const { currency } = account;
  const total = info.rule.growth!.total;
  const sum = (list: readonly GrowthMember[], key: 'budget' | 'spend' | 'orders' | 'sales') =>
    list.reduce((all, one) => all + (key === 'budget' && !one.isRunning ? 0 : one[key]), 0);
  return (
    <section aria-label="Stages">
      <div className="bar">
        <h2 className="part serif">Stages</h2>
        <span className="faint small">
          {formatMoney(money.now)} of {formatMoney(total)} {currency} a day is given out,{' '}
          {formatMoney(money.free)} stays free tonight; ACOS aimed at {formatShare(range.low, 0)} to{' '}
          {formatShare(range.high, 0)}.
        </span>
        <span className="room" />
        <Button data-may="send" disabled={mayTakeIn.length === 0} onClick={() => setTaking(true)}>
          Take campaigns in …
        </Button>
      </div>
      <Facts aria-label="Campaigns of the plan">
        <TableHead>
          <TableRow>
            <TableCell>Campaign</TableCell>
            <TableCell className="figure">Budget, {currency} a day</TableCell>
            <TableCell className="figure">Needs</TableCell>
            <TableCell className="figure">Days</TableCell>
            <TableCell className="figure">Spend, {currency}</TableCell>
            <TableCell className="figure">Orders</TableCell>
            <TableCell className="figure">Sales, {currency}</TableCell>
            <TableCell className="figure">ACOS</TableCell>
            <TableCell className="figure">Profit</TableCell>
            <TableCell className="figure">after ads</TableCell>
            <TableCell />
          </TableRow>
        </TableHead>
        <TableBody>
          {STAGES.map((stage) => {
            const own = members.filter((one) => one.stage === stage);
            const [spend, sales] = [sum(own, 'spend'), sum(own, 'sales')];
            return (
              <Fragment key={stage}>
                <TableRow className="sumRow">
                  <TableCell>
                    <strong>{STAGE_LABELS[stage]}</strong>{' '}
                    <span className="faint small">
                      {info.rule.growth![stage].isOn ? STAGE_DOES[stage] : 'off: nothing of it is moved'}
                    </span>
                  </TableCell>
                  <TableCell className="figure">{formatMoney(sum(own, 'budget'))}</TableCell>
                  <TableCell />
                  <TableCell />
                  <TableCell className="figure">{formatMoney(spend)}</TableCell>
                  <TableCell className="figure">{formatCount(sum(own, 'orders'))}</TableCell>
                  <TableCell className="figure">{formatMoney(sales)}</TableCell>
                  <TableCell className="figure">{acosWords(spend, sales)}</TableCell>
                  <Profits margin={margin} spend={spend} sales={sales} />
                  <TableCell />
                </TableRow>
                {own.map((one) => (
                  <Row key={one.id} one={one} margin={margin} onPut={onPut} />
                ))}
              </Fragment>
            );
          })}
        </TableBody>
      </Facts>
      {isTaking && (
        <TakeIn
          account={account}
          free={mayTakeIn}
          onDone={(campaigns) => {
            setTaking(false);
            if (campaigns.length > 0) void onPut(campaigns, 'campaigns were taken in');
          }}
        />
      )}
    </section>
  );
}

function Row({
  one,
  margin,
  onPut,
}: {
  one: GrowthMember;
  margin: number | null;
  onPut: StagesProps['onPut'];
}) {
  const { id, name, stage, isMade, isRunning, state, budget, need, days, spend, orders, sales, reason } = one;
  return (
    <TableRow title={reason}>
      <TableCell className="memberName">
        {name}
        <span className="faint small">
          {' '}
          {isRunning ? '' : `${state === 'draft' ? 'waits to be made' : 'does not spend yet'} · `}
          {isMade ? 'made by the plan' : 'taken in'}
        </span>
      </TableCell>
      <TableCell className="figure">{formatMoney(budget)}</TableCell>
      <TableCell className="figure">{need === null ? '–' : formatMoney(need)}</TableCell>
      <TableCell className="figure">{formatCount(days)}</TableCell>
      <TableCell className="figure">{formatMoney(spend)}</TableCell>
      <TableCell className="figure">{formatCount(orders)}</TableCell>
      <TableCell className="figure">{formatMoney(sales)}</TableCell>
      <TableCell className="figure">{acosWords(spend, sales)}</TableCell>
      <Profits margin={margin} spend={spend} sales={sales} />
      <TableCell>
        <Choice
          label={`Stage of ${name}`}
          value={stage}
          onChange={(next) =>
            void onPut(
              [{ campaignId: id, stage: next === BACK ? null : (next as Stage) }],
              next === BACK ? `“${name}” was given back` : `“${name}” was moved`,
            )
          }
        >
          {[...STAGES.map((key): Option => [key, STAGE_LABELS[key]]), [BACK, 'give it back']]}
        </Choice>
      </TableCell>
    </TableRow>
  );
}

const acosWords = (spend: number, sales: number) => (sales > 0 ? formatShare(spend / sales) : '–');

function Profits({ margin, spend, sales }: { margin: number | null; spend: number; sales: number }) {
  return (
    <>
      <TableCell className="figure">{margin === null ? '–' : formatMoney(margin * sales)}</TableCell>
      <TableCell className="figure">{margin === null ? '–' : formatMoney(margin * sales - spend)}</TableCell>
    </>
  );
}
