import type { AccountInfo } from '../../../contract/api';
import type { LensTable } from '../../../core/lenses';
import { counted, formatShare } from '../../../core/units';
import { hourReason } from '../../../plans/hours';
import { pageLink } from '../../shared/frame/pages';
import { Empty, PlaceLink } from '../../shared/kit';
import { asideWords } from '../campaigns';
import { NoRows } from '../frame/NoRows';
import { StepRows } from '../frame/StepRows';
import type { RoundState } from '../useRoundState';
import { hourColumns } from './hourColumns';
import type { HourWork } from './useHourWork';
import { HOURS_FROM, NO_HOURS } from '../../shared/words';

interface HourRowsProps {
  account: AccountInfo;
  state: RoundState;
  work: HourWork;
  table: LensTable;
}

/** The campaigns of the step, a row each. */
export function HourRows({ account, state, work, table }: HourRowsProps) {
  return (
    <StepRows<number>
      label="Campaigns"
      state={state}
      view={work.view}
      columns={hourColumns({ work, table, currency: account.currency, isAside: state.show === 'aside' })}
      rowAt={(row) => row}
      detail={(row) => {
        const aside = work.decisions.asideOf(table.campaignId[row]);
        const one = work.rowOf(row);
        const why = aside ? asideWords(aside) : one ? hourReason(one) : '';
        return <span title={why}>{why}</span>;
      }}
      empty={
        <NoRows
          state={state}
          row="campaign"
          rows="campaigns"
          lacking={lackingOf(account, work, state)}
          loosen="Every campaign follows what its hours say."
        />
      }
    />
  );
}

/** What is missing before bids can go by the hour; null when nothing is. */
function lackingOf({ id }: AccountInfo, { hasData, isOffered, plan }: HourWork, { show }: RoundState) {
  if (!hasData)
    return (
      <Empty
        why={HOURS_FROM}
        next={
          <PlaceLink href={pageLink('setup', id)}>Sync the account, or import a report by hour</PlaceLink>
        }
      >
        {NO_HOURS}
      </Empty>
    );
  if (!isOffered)
    return (
      <Empty
        why="Bids stay alike around the clock there."
        next={<PlaceLink href={pageLink('hours', id)}>Look at the hours all the same</PlaceLink>}
      >
        This account’s market has no schedules by hour.
      </Empty>
    );
  if (plan && !plan.worth.isWorthIt && show === 'proposed')
    return (
      <Empty
        why={`From ${counted(plan.worth.orders, 'order')}, bids by the hour would gain about ${formatShare(plan.worth.gain)}; it takes ${formatShare(plan.worth.least)}, and 300 orders.`}
        next={<PlaceLink href={pageLink('hours', id)}>Look at the hours</PlaceLink>}
      >
        No pattern here is worth a schedule.
      </Empty>
    );
  return null;
}
