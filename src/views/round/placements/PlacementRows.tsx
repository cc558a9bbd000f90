import type { AccountInfo } from '../../../contract/api';
import { placementReason } from '../../../core/placements';
import type { LensTable } from '../../../core/lenses';
import type { PlacementPlan } from '../../../plans/placements';
import { pageLink } from '../../shared/frame/pages';
import { Empty, PlaceLink } from '../../shared/kit';
import { asideWords } from '../campaigns';
import { NoRows } from '../frame/NoRows';
import { StepRows } from '../frame/StepRows';
import type { RoundState } from '../useRoundState';
import { placementColumns } from './placementColumns';
import type { PlacementWork } from './usePlacementWork';

interface PlacementRowsProps {
  account: AccountInfo;
  state: RoundState;
  work: PlacementWork;
  table: LensTable;
  plan: PlacementPlan;
}

/** The campaigns of the step, a row each. */
export function PlacementRows({ account, state, work, table, plan }: PlacementRowsProps) {
  const columns = placementColumns({
    work,
    table,
    plan,
    currency: account.currency,
    isAside: state.show === 'aside',
  });
  return (
    <StepRows<number>
      label="Campaigns"
      state={state}
      view={work.view}
      columns={columns}
      rowAt={(row) => row}
      detail={(row) => {
        const aside = work.decisions.asideOf(table.campaignId[row]);
        const why = aside ? asideWords(aside) : placementReason(plan.rows[row]);
        return <span title={why}>{why}</span>;
      }}
      empty={
        <NoRows
          state={state}
          row="campaign"
          rows="campaigns"
          lacking={lackingOf(account, work)}
          loosen="Every modifier stands where the clicks want it, or not enough is known to move it."
        />
      }
    />
  );
}

/** What is missing before placements can be decided on; null when nothing is. */
function lackingOf({ id }: AccountInfo, { hasClicks, isOffered, isTold }: PlacementWork) {
  if (!isOffered)
    return (
      <Empty why="What a market offers is read with each sync.">This market sets no bids by placement.</Empty>
    );
  if (!hasClicks)
    return (
      <Empty
        why="Modifiers are worked out from clicks and orders by placement."
        next={
          <PlaceLink href={pageLink('setup', id)}>
            Sync the account, or import a report by placement
          </PlaceLink>
        }
      >
        No clicks by placement are known.
      </Empty>
    );
  if (!isTold)
    return (
      <Empty
        why="Reports by placement do not say which modifiers stood, and none is moved from a guess."
        next={
          <PlaceLink href={pageLink('setup', id)}>
            Import the campaigns with their three modifiers, 0 % where there is none
          </PlaceLink>
        }
      >
        The modifiers of the campaigns are not known.
      </Empty>
    );
  return null;
}
