import type { AccountInfo } from '../../../contract/api';
import type { PlanColumns } from '../../../core/bids';
import type { LensTable } from '../../../core/lenses';
import { formatDay } from '../../../core/units';
import { placeLink } from '../../shared/frame/places';
import { VirtualTable } from '../../../table';
import type { RoundState } from '../useRoundState';
import { bidColumns } from './bidColumns';
import { reasonOf } from '../../../plans/bids';
import type { BidWork } from './useBidWork';

interface BidRowsProps {
  account: AccountInfo;
  state: RoundState;
  work: BidWork;
  table: LensTable;
  plan: PlanColumns;
  editing: number | null;
  onEditing: (row: number | null) => void;
  onAccept: (row: number) => void;
}

/** The targets of a step: what is proposed for each, and below it where it lives and why. */
export function BidRows({ account, state, work, table, plan, editing, onEditing, onAccept }: BidRowsProps) {
  const { step, shown, rows, decisions } = work;
  const asideOf = new Map(decisions.aside.map((one) => [one.targetId, one]));
  return (
    <VirtualTable
      label="Targets"
      columns={bidColumns({
        step,
        currency: account.currency,
        table,
        plan,
        decisions,
        editing,
        onEditing,
        onAccept,
        isAside: state.show === 'aside',
      })}
      count={shown.length}
      rowAt={(index) => shown[index]}
      keyAt={(index) => shown[index]}
      rowHeight={46}
      detail={(row) => {
        const aside = asideOf.get(table.targetId[row]);
        const why = aside
          ? `${ASIDE_WORDS[aside.verdict]}${aside.until ? ` until ${formatDay(aside.until)}` : ''}${aside.note ? `: ${aside.note}` : ''}`
          : reasonOf(plan, table, row);
        return (
          <span title={`${table.place[row]} — ${why}`}>
            {table.place[row]} — {why}
          </span>
        );
      }}
      focus={rows.focus}
      onFocus={rows.setFocus}
      isSelected={(index) => rows.selection.has(shown[index])}
      onSelect={rows.select}
      sorts={state.sort ? [state.sort] : []}
      onSort={(key) => state.setSort(nextSort(state.sort, key))}
      empty={<NothingHere state={state} account={account} table={table} />}
    />
  );
}

const ASIDE_WORDS = { left: 'Left as it is', later: 'Put off', 'accepted-loss': 'Loss accepted' };

function nextSort(sort: RoundState['sort'], key: string): RoundState['sort'] {
  const by = key as NonNullable<RoundState['sort']>['by'];
  if (sort?.by !== by) return { by, descending: key !== 'term' };
  return sort.descending === (key !== 'term') ? { by, descending: !sort.descending } : null;
}

/** Why a step shows no rows, and what can be done. */
function NothingHere({
  state,
  account,
  table,
}: {
  state: RoundState;
  account: AccountInfo;
  table: LensTable;
}) {
  if (table.size === 0)
    return (
      <p>
        The account has no targets yet.{' '}
        <a href={placeLink('setup', account.id)}>Sync it or import its structure</a> to begin.
      </p>
    );
  if (table.value.every((bid) => Number.isNaN(bid)))
    return (
      <p>
        No bid of the account is known: search-term reports do not tell bids.{' '}
        <a href={placeLink('setup', account.id)}>Import a list of targets with their bids</a>, or connect the
        account.
      </p>
    );
  if (state.conditions.length > 0)
    return (
      <p>
        No target meets all {state.conditions.length} conditions.{' '}
        <button onClick={() => state.setConditions([])}>Clear them</button>
      </p>
    );
  if (state.show === 'aside') return <p>No target is put aside.</p>;
  return (
    <p>
      Nothing is left to decide here at this pace. Look at{' '}
      <button onClick={() => state.setShow('all')}>all targets</button>, or go on to the next step.
    </p>
  );
}
