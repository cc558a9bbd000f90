import type { AccountInfo } from '../../../contract/api';
import { budgetReason } from '../../../core/budgets';
import type { LensTable } from '../../../core/lenses';
import type { BudgetsPlan } from '../../../plans/budgets';
import { pageLink } from '../../shared/frame/pages';
import { Empty, PlaceLink } from '../../shared/kit';
import { asideWords } from '../campaigns';
import { NoRows } from '../frame/NoRows';
import { StepRows } from '../frame/StepRows';
import type { RoundState } from '../useRoundState';
import { budgetColumns } from './budgetColumns';
import { MoneyForm } from './MoneyForm';
import type { BudgetWork } from './useBudgetWork';

interface BudgetRowsProps {
  account: AccountInfo;
  state: RoundState;
  work: BudgetWork;
  table: LensTable;
  plan: BudgetsPlan;
}

/** The campaigns of the step, a row each. */
export function BudgetRows({ account, state, work, table, plan }: BudgetRowsProps) {
  const isAside = state.show === 'aside';
  return (
    <StepRows<number>
      label="Campaigns"
      state={state}
      view={work.view}
      columns={budgetColumns({ work, table, plan, currency: account.currency, isAside })}
      rowAt={(row) => row}
      detail={(row) => {
        const aside = work.decisions.asideOf(table.campaignId[row]);
        const why = aside ? asideWords(aside) : budgetReason(plan.rows[row]);
        return <span title={why}>{why}</span>;
      }}
      empty={
        <NoRows
          state={state}
          row="campaign"
          rows="campaigns"
          lacking={lackingOf(account, work, plan, state)}
          loosen="The money lies where it is needed."
        />
      }
    />
  );
}

/** What is missing before money can be moved; null when nothing is. */
function lackingOf({ id, currency }: AccountInfo, work: BudgetWork, plan: BudgetsPlan, { show }: RoundState) {
  if (!work.hasData)
    return (
      <Empty
        why="Money is moved among campaigns with a daily budget."
        next={
          <PlaceLink href={pageLink('setup', id)}>
            Sync the account, or import its campaigns with their budgets
          </PlaceLink>
        }
      >
        No daily budget of the account is known.
      </Empty>
    );
  if (!plan.isAsked && show === 'proposed')
    return (
      <MoneyForm money={work.money} sum={plan.total.before} currency={currency} onDone={work.setMoney} />
    );
  return null;
}
