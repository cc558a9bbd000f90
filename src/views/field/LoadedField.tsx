import { formatCount } from '../../core/units';
import { useCallback, useMemo, useRef, useState } from 'react';
import type { AccountInfo } from '../../contract/api';
import type { LoadedLens } from '../../plans/field';
import { hoveredRow } from '../../table';
import { ChangeBar } from './changes/ChangeBar';
import { CrossTabView } from './cross/CrossTabView';
import { belowOf } from './evidence/below';
import { EvidencePanel } from './evidence/EvidencePanel';
import type { FieldBodyProps } from './fieldBodyProps';
import { FieldHead } from './FieldHead';
import { PicturePane } from './picture/PicturePane';
import { ColumnsMenu } from './rows/ColumnsMenu';
import { fieldColumns } from './rows/fieldColumns';
import { FieldRows } from './rows/FieldRows';
import { useFieldColumns } from './rows/useFieldColumns';
import { useRowsOut } from './rows/useRowsOut';
import { useSparks } from './rows/useSparks';
import { useFieldKeys } from './useFieldKeys';
import { useFolded } from '../shared/useFolded';
import { useHandWork } from './useHandWork';
import { useLensRows } from './useLensRows';
import { Columns, FoldedPanel, Loading, Trouble } from '../shared/kit';

type LoadedFieldProps = FieldBodyProps & { account: AccountInfo; loaded: LoadedLens };

/** Conditions, picture, rows and evidence of a lens: rows and dots are always the same selection. */
export function LoadedField({ account, loaded, state, lens, tray, window }: LoadedFieldProps) {
  const { engine, isFetching } = lens;
  const { table } = loaded;
  const isCross = state.shape === 'cross';
  const [editing, setEditing] = useState<number | null>(null);
  const [open, setOpen] = useState<'condition' | 'swaths' | 'columns' | null>(null);
  const [isPictureFolded, foldPicture] = useFolded('field-picture-folded');
  const [isPanelFolded, foldPanel] = useFolded('field-panel-folded');
  const [hovered] = useState(hoveredRow);
  const columnsButton = useRef<HTMLButtonElement>(null);
  const moveBar = useRef<{ focus: () => void }>(null);
  const view = useLensRows(lens, account, loaded, state, !isPictureFolded);
  const { arranged, isCurrent, reader, shown, rows } = view;
  const hand = useHandWork(account, loaded, tray);
  const { sparks, onSight } = useSparks(account, loaded);
  const { staged, setValue } = hand;
  const columns = useMemo(
    () =>
      fieldColumns({
        table,
        reader,
        currency: account.currency,
        limits: account.limits,
        staged,
        sparks,
        editing,
        onEditing: setEditing,
        onValue: setValue,
      }),
    // oxlint-disable-next-line react-hooks/exhaustive-deps -- setValue does the same whenever it was made
    [table, reader, account.currency, account.limits, staged, sparks, editing],
  );
  const { columns: columnsState, reset } = useFieldColumns(columns, state);
  const out = useRowsOut(account, loaded, reader, columnsState.columns);
  const chosen = useMemo(() => rows.chosen(), [rows]);
  const copy = () => out.copy(rows.selection.size > 0 ? chosen : shown);
  const openRow = (row: number) => {
    const [below] = belowOf(table, row);
    if (below) state.drill(below);
  };
  useFieldKeys(state, rows, view.brush, arranged?.path ?? [], {
    onWindow: () => window.onOpen(true),
    onAdding: () => setOpen('condition'),
    onSwaths: () => setOpen('swaths'),
    onColumns: () => setOpen('columns'),
    onFold: foldPicture,
    onPanel: foldPanel,
    onEdit: () => setEditing(rows.focusedRow),
    onMoveBar: () => moveBar.current?.focus(),
    onNudge: (by) => isCurrent && hand.nudge(chosen, by),
    onPause: () => isCurrent && hand.pause(chosen),
    onOpen: () => rows.focusedRow !== null && openRow(rows.focusedRow),
    onCopy: copy,
  });
  const focusRow = useRef(rows.focusRow);
  focusRow.current = rows.focusRow;
  const onRow = useCallback((row: number) => focusRow.current(row), []);
  return (
    <Columns name="field" panel={isCross ? null : isPanelFolded ? 'folded' : 'open'}>
      <main className="fieldGrid" aria-busy={isFetching || !isCurrent}>
        <FieldHead
          account={account}
          window={window}
          state={state}
          loaded={loaded}
          view={view}
          open={open}
          onOpen={setOpen}
          columnsButton={columnsButton}
          onCopy={copy}
          onSave={(format) => out.save(format, shown)}
        />
        {isCross ? (
          <span />
        ) : (
          <PicturePane
            account={account}
            engine={engine}
            loaded={loaded}
            state={state}
            all={view.all}
            points={view.points}
            area={view.area}
            onArea={view.setArea}
            rows={rows}
            hovered={hovered}
            isFolded={isPictureFolded}
            onFold={foldPicture}
          />
        )}
        {view.error ? (
          <Trouble error={view.error} />
        ) : arranged === null ? (
          <Loading>Looking through {formatCount(table.size)} rows …</Loading>
        ) : isCross ? (
          <CrossTabView account={account} engine={engine} loaded={loaded} state={state} rows={shown} />
        ) : (
          <FieldRows
            account={account.id}
            loaded={loaded}
            arranged={arranged}
            shown={shown}
            rows={rows}
            hovered={hovered}
            state={state}
            columns={columnsState as never}
            onSight={onSight}
            onOpen={openRow}
          />
        )}
        {isCross ? (
          <span />
        ) : (
          <ChangeBar
            account={account}
            loaded={loaded}
            chosen={chosen}
            selected={rows.selection.size}
            staged={hand.staged}
            onStage={hand.stage}
            inputRef={moveBar}
          />
        )}
        {open === 'columns' && (
          <ColumnsMenu
            isOpen
            anchor={() => columnsButton.current!}
            onClose={() => setOpen(null)}
            all={columns}
            columns={columnsState as never}
            onReset={reset}
          />
        )}
      </main>
      {isCross ? null : isPanelFolded ? (
        <FoldedPanel label="Evidence" keys="i" onOpen={foldPanel} />
      ) : (
        <EvidencePanel
          account={account}
          engine={engine}
          loaded={loaded}
          onDrill={state.drill}
          row={rows.focusedRow}
          onRow={onRow}
        />
      )}
    </Columns>
  );
}
