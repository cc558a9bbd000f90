import { useMemo, useRef, useState } from 'react';
import { VirtualTable } from '../../table/VirtualTable';
import type { AccountInfo } from '../../contract/api';
import { useKeys } from '../shared/useKeys';
import { useRows } from '../shared/useRows';
import type { TrayState } from '../shared/useTray';
import { bidChange, bidSteps } from './bidSteps';
import { fieldColumns } from './columns';
import { FieldHead } from './FieldHead';
import { arrangeTargets, totalOf } from './targetRows';
import type { SortKey, FieldState } from './useFieldState';
import { useTargets } from './useTargets';

interface FieldBodyProps {
  account: AccountInfo | undefined;
  state: FieldState;
  tray: TrayState;
}

const PAGE = 15;

/** The targets of the account: found, ordered, and their bids moved by hand. */
export function FieldBody({ account, state, tray }: FieldBodyProps) {
  const { data, rows: all, error } = useTargets(account?.id, state.days, state.unsettled);
  const rows = useMemo(() => arrangeTargets(all, state.search, state.sort), [all, state.search, state.sort]);
  const shown = useMemo(() => Int32Array.from(rows, (_, index) => index), [rows]);
  const focus = useRows(shown, `${state.search} ${state.sort.by} ${state.sort.descending}`);
  const [editing, setEditing] = useState<number | null>(null);
  const search = useRef<HTMLInputElement>(null);
  const done = useRef<number[][]>([]);
  const staged = useMemo(
    () =>
      new Map(
        tray.changes.flatMap(({ change }) =>
          change.kind === 'set-bid' ? [[change.targetId, change.to] as const] : [],
        ),
      ),
    [tray.changes],
  );
  const chosen = () => focus.chosen().map((index) => rows[index]);
  const stage = async (changes: ReturnType<typeof bidSteps>['changes']) => {
    if (changes.length === 0) return;
    const { ids } = await tray.stage.mutateAsync(changes);
    done.current.push(ids.filter((id): id is number => id !== null));
  };
  const move = (by: number) =>
    account && void stage(bidSteps(chosen(), by, account.limits).changes).catch(() => {});
  const setBid = (index: number, to: number) => {
    const { bidStep } = account!.limits;
    const rounded = Math.round(to / bidStep) * bidStep;
    if (rounded !== rows[index].bid) void stage([bidChange(rows[index], rounded)]).catch(() => {});
  };
  const undo = () => {
    const last = done.current.pop();
    if (last && last.length > 0) void tray.withdraw.mutateAsync(last).catch(() => {});
  };
  useKeys({
    arrowdown: () => focus.move(1, false),
    arrowup: () => focus.move(-1, false),
    'shift+arrowdown': () => focus.move(1, true),
    'shift+arrowup': () => focus.move(-1, true),
    pagedown: () => focus.move(PAGE, false),
    pageup: () => focus.move(-PAGE, false),
    home: () => focus.move(-1e9, false),
    end: () => focus.move(1e9, false),
    'ctrl+a': focus.selectAll,
    escape: focus.clearSelection,
    e: () => setEditing(focus.focusedRow),
    '[': () => move(-0.05),
    ']': () => move(0.05),
    u: undo,
    '/': () => search.current?.focus(),
  });
  const columns = fieldColumns({ staged, editing, onEditing: setEditing, onBid: setBid });
  return (
    <main style={{ display: 'grid', gridTemplateRows: 'auto minmax(0, 1fr)', minHeight: 0 }}>
      <FieldHead
        account={account}
        data={data}
        state={state}
        searchRef={search}
        total={totalOf(rows)}
        count={rows.length}
        selected={focus.selection.size}
        limitsOf={(by) => (account ? bidSteps(chosen(), by, account.limits) : null)}
        onMove={move}
      />
      <VirtualTable
        label="Targets"
        columns={columns}
        count={rows.length}
        rowAt={(index) => ({ row: rows[index], index })}
        keyAt={(index) => rows[index].id}
        rowHeight={32}
        focus={focus.focus}
        onFocus={focus.setFocus}
        isSelected={(index) => focus.selection.has(index)}
        onSelect={focus.select}
        sort={state.sort}
        onSort={(key) => state.setSort(key as SortKey)}
        empty={<Empty error={error} isLoading={data === undefined} search={state.search} account={account} />}
      />
    </main>
  );
}

function Empty({
  error,
  isLoading,
  search,
  account,
}: {
  error: Error | null;
  isLoading: boolean;
  search: string;
  account: AccountInfo | undefined;
}) {
  if (error)
    return (
      <span role="alert" className="over">
        {error.message}
      </span>
    );
  if (isLoading) return <>Loading the targets …</>;
  if (search !== '') return <>No target holds “{search}”.</>;
  return (
    <>
      No targets yet. Import a list of campaigns and targets, or a report by target, under{' '}
      <a href={`/setup?account=${account?.id}`}>Setup</a>.
    </>
  );
}
