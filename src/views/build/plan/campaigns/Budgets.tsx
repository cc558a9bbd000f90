import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Button from '@mui/material/Button';
import { Fragment, useState } from 'react';
import type { Expectation } from '../../../../core/build';
import { DASH, formatCount, formatMoney, formatShare } from '../../../../core/units';
import { Facts, MoneyField, PlaceLink, TextBox } from '../../../shared/kit';
import { pageLink } from '../../../shared/frame/pages';
import { FaultWords } from '../FaultWords';
import { NAME_EDITED } from '../usePlan';
import type { OpenPlan } from '../usePlan';
import { stateOf } from '../lineStates';
import { FieldsForm } from './FieldsForm';

/** The campaigns of a plan, each with its name, budget and what a month of it is expected to do. */
export function Budgets({ open }: { open: OpenPlan }) {
  const { account, campaigns } = open;
  if (campaigns.length === 0) return null;
  return (
    <>
      <h2 className="part serif">Campaigns</h2>
      <Facts aria-label="Campaigns">
        <TableHead>
          <TableRow>
            <TableCell>Name</TableCell>
            <TableCell className="figure">Targets</TableCell>
            <TableCell className="figure">Negatives</TableCell>
            <TableCell>Budget</TableCell>
            <TableCell className="figure">Clicks a month</TableCell>
            <TableCell className="figure">Spend, {account.currency}</TableCell>
            <TableCell className="figure">Sales, {account.currency}</TableCell>
            <TableCell className="figure">ACOS</TableCell>
            <TableCell />
          </TableRow>
        </TableHead>
        <TableBody>
          {campaigns.map((campaign) => (
            <CampaignRow key={campaign.key} campaign={campaign} open={open} />
          ))}
        </TableBody>
      </Facts>
      <p className="note">
        Expected from what like targets of the product, its line or the account did in the usual window; in
        small the range that holds in four of five cases. “Too early to say”: fewer than 8 like targets, 40
        clicks or 8 orders.
      </p>
    </>
  );
}

type Campaign = OpenPlan['campaigns'][number];

function CampaignRow({ campaign, open }: { campaign: Campaign; open: OpenPlan }) {
  const { account, plan, data, edit, faults } = open;
  const { key, name, budget, targets, negatives, isBudgetSet, fields } = campaign;
  const [isOpen, setOpen] = useState(false);
  const told = data.campaigns.find((one) => one.key === key);
  const own = plan.own[key];
  const state = stateOf(data.lines, key);
  const isMade = told?.campaignId != null;
  return (
    <Fragment>
      <TableRow>
        <TableCell>
          <TextBox
            aria-label={`Name of ${key}`}
            letters={30}
            value={name}
            disabled={isMade}
            title={name}
            isWrong={faults.at(`names.${key}`).length > 0}
            onChange={({ target }) => edit({ names: { ...plan.names, [key]: target.value } }, NAME_EDITED)}
          />
          <FaultWords faults={[...faults.at(`names.${key}`), ...faults.at(`own.${key}`)]} />
          {state && <span className={`small block ${state.isBad ? 'over' : 'faint'}`}>{state.words}</span>}
        </TableCell>
        <TableCell className="figure">{formatCount(targets.length)}</TableCell>
        <TableCell className="figure">
          {negatives.length === 0 ? DASH : formatCount(negatives.length)}
        </TableCell>
        <TableCell>
          <MoneyField
            label={`Budget of ${name}`}
            isLabelled={false}
            micros={budget}
            currency={account.currency}
            step={1_000_000}
            isOff={isMade}
            onMicros={(micros) =>
              edit({ budgets: { ...plan.budgets, [key]: micros } }, 'a budget was edited')
            }
          />
          {isBudgetSet && !isMade && (
            <Button
              variant="link"
              title="Let the total decide it"
              onClick={() => {
                const { [key]: _, ...budgets } = plan.budgets;
                edit({ budgets }, 'a budget was edited');
              }}
            >
              as the others
            </Button>
          )}
          <FaultWords faults={faults.at(`budgets.${key}`)} />
        </TableCell>
        <ExpectedCells expected={told?.expected ?? null} />
        <TableCell>
          {isMade ? (
            <PlaceLink href={`${pageLink('field', account.id)}&lens=keywords&campaign=${told.campaignId}`}>
              Field
            </PlaceLink>
          ) : (
            <Button variant="link" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
              {own ? 'Its own settings' : 'As all'}
            </Button>
          )}
        </TableCell>
      </TableRow>
      {isOpen && !isMade && (
        <TableRow>
          <TableCell colSpan={9}>
            <FieldsForm
              account={account}
              fields={fields}
              onFields={(change) => edit({ own: { ...plan.own, [key]: { ...own, ...change } } })}
            />
            {own && (
              <Button
                variant="link"
                onClick={() => {
                  const { [key]: _, ...rest } = plan.own;
                  edit({ own: rest });
                }}
              >
                As all others
              </Button>
            )}
          </TableCell>
        </TableRow>
      )}
    </Fragment>
  );
}

const whole = (micros: number) => formatCount(Math.round(micros / 1e6));

function ExpectedCells({ expected }: { expected: Expectation | null }) {
  if (!expected)
    return (
      <TableCell colSpan={4} className="faint small figure">
        too early to say
      </TableCell>
    );
  const { clicks, spend, sales, acos, from, targets } = expected;
  const range = ({ low, high }: { low: number; high: number }, write: (value: number) => string) => (
    <span className="faint small block">
      {write(low)}–{write(high)}
    </span>
  );
  const count = (value: number) => formatCount(Math.round(value));
  const title = `From ${formatCount(targets)} like targets of the ${from}`;
  return (
    <>
      <TableCell className="figure" title={title}>
        {count(clicks.mean)}
        {range(clicks, count)}
      </TableCell>
      <TableCell className="figure" title={title}>
        {formatMoney(spend.mean)}
        {range(spend, whole)}
      </TableCell>
      <TableCell className="figure" title={title}>
        {formatMoney(sales.mean)}
        {range(sales, whole)}
      </TableCell>
      <TableCell className="figure" title={title}>
        {acos === null ? DASH : formatShare(acos, 1)}
      </TableCell>
    </>
  );
}
