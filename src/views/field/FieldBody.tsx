import Button from '@mui/material/Button';
import { useSnackbar } from 'notistack';
import { useMemo, useRef, useState } from 'react';
import { lensReader } from '../../core/lenses';
import type { Area } from '../../charts';
import type { AccountInfo } from '../../contract/api';
import { saveTable } from '../shared/api';
import { Conditions } from '../shared/conditions/Conditions';
import { pointsOf, rowsInArea } from '../shared/picture/points';
import { useBrush } from '../shared/picture/useBrush';
import { recall, remember } from '../shared/urlState';
import { useRows } from '../shared/useRows';
import type { TrayState } from '../shared/useTray';
import { ChangeBar } from './changes/ChangeBar';
import { CrossTabView } from './cross/CrossTabView';
import { belowOf } from './evidence/below';
import { EvidencePanel } from './evidence/EvidencePanel';
import { FieldSentence } from './FieldSentence';
import { fieldsOffered } from './fieldsOffered';
import { LensBar } from './LensBar';
import { PicturePane } from './picture/PicturePane';
import { ColumnsMenu } from './rows/ColumnsMenu';
import { fieldColumns } from './rows/fieldColumns';
import { FieldRows } from './rows/FieldRows';
import { asTabText, outOfTable } from './rows/outOfTable';
import { countWords } from './rows/rowRequest';
import { useFieldColumns } from './rows/useFieldColumns';
import { useSparks } from './rows/useSparks';
import { SwathMenu } from './swaths/SwathMenu';
import { useFieldKeys } from './useFieldKeys';
import type { FieldState } from './useFieldState';
import { useHandWork } from './useHandWork';
import { useArrangedRows } from './useLens';
import type { LensState } from './useLens';
import type { LoadedLens } from '../shared/fieldEngine/types';

interface FieldBodyProps {
  account: AccountInfo | undefined;
  error: Error | null;
  state: FieldState;
  lens: LensState;
  tray: TrayState;
  onWindow: () => void;
}

/** The field once its figures are here; until then what is being waited for, or what went wrong. */
export function FieldBody(props: FieldBodyProps) {
  const { account, error, lens } = props;
  if (account && lens.loaded) return <LoadedField {...props} account={account} loaded={lens.loaded} />;
  return (
    <main style={{ padding: 24 }}>
      <p role={error ? 'alert' : 'status'} className={error ? 'over' : 'faint'}>
        {error ? error.message : 'Reading the figures …'}
      </p>
    </main>
  );
}

function useFolded(key: string) {
  const [isFolded, setFolded] = useState(() => recall(key, false));
  const fold = () => {
    remember(key, !isFolded);
    setFolded(!isFolded);
  };
  return [isFolded, fold] as const;
}

const NO_ROWS = new Int32Array();

function LoadedField({
  account,
  loaded,
  state,
  lens: { engine, isFetching },
  tray,
  onWindow,
}: FieldBodyProps & { account: AccountInfo; loaded: LoadedLens }) {
  const { table } = loaded;
  const { enqueueSnackbar } = useSnackbar();
  const [area, setArea] = useState<Area | null>(null);
  const [editing, setEditing] = useState<number | null>(null);
  const [isAdding, setAdding] = useState(false);
  const [isSwathsOpen, openSwaths] = useState(false);
  const [isColumnsOpen, openColumns] = useState(false);
  const [isPictureFolded, foldPicture] = useFolded('field-picture-folded');
  const [isPanelFolded, foldPanel] = useFolded('field-panel-folded');
  const columnsButton = useRef<HTMLButtonElement>(null);
  const moveBar = useRef<HTMLSelectElement>(null);
  const { stack, scope, sorts } = state;
  const { arranged, isCurrent } = useArrangedRows(engine, loaded.loadId, { scope, stack, sorts });
  const reader = useMemo(() => lensReader(table), [table]);
  const source = useMemo(
    () => ({
      clicks: table.now.clicks,
      spend: table.now.spend,
      rpc: table.rpc,
      low: table.rpcLow,
      high: table.rpcHigh,
      grade: table.grade,
    }),
    [table],
  );
  const all = arranged?.rows ?? NO_ROWS;
  const isCross = state.shape === 'cross';
  const shown = useMemo(() => (area ? rowsInArea(all, source, area) : all), [all, source, area]);
  const points = useMemo(
    () => (isPictureFolded ? null : pointsOf(all, source)),
    [all, source, isPictureFolded],
  );
  const rows = useRows(shown, `${loaded.loadId}`);
  const brush = useBrush(area, setArea, points, rows);
  const hand = useHandWork(account, table, tray);
  const { sparks, onSight } = useSparks(account.id, loaded, true);
  const columns = fieldColumns({
    table,
    reader,
    currency: account.currency,
    staged: hand.staged,
    sparks,
    editing,
    onEditing: setEditing,
    onValue: hand.setValue,
  });
  const { columns: columnsState, reset } = useFieldColumns(columns, state);
  const chosen = rows.chosen();
  const out = (list: ArrayLike<number>) =>
    outOfTable(table, reader, columnsState.columns, list, account.currency);
  const fail = (error: Error) => enqueueSnackbar(error.message, { variant: 'error', autoHideDuration: 9000 });
  const save = (format: 'csv' | 'xlsx') =>
    void saveTable(format, {
      name: `${account.name} ${countWords(state.lens, 2).slice(2)}`,
      ...out(shown),
    }).catch(fail);
  const copy = () => {
    const list = rows.selection.size > 0 ? chosen : Array.from(shown);
    void navigator.clipboard
      .writeText(asTabText(out(list)))
      .then(() =>
        enqueueSnackbar(`Copied ${countWords(state.lens, list.length)}.`, { autoHideDuration: 3000 }),
      )
      .catch(() => fail(new Error('The browser did not allow the copy. Click into the page and try again.')));
  };
  const open = (row: number) => {
    const [below] = belowOf(table, row);
    if (below) state.drill(below);
  };
  useFieldKeys(state, rows, brush, arranged?.path ?? [], {
    onWindow,
    onAdding: () => setAdding(true),
    onSwaths: () => openSwaths(true),
    onColumns: () => openColumns(true),
    onFold: foldPicture,
    onPanel: foldPanel,
    onEdit: () => setEditing(rows.focusedRow),
    onMoveBar: () => moveBar.current?.focus(),
    onNudge: (by) => isCurrent && hand.nudge(chosen, by),
    onPause: () => isCurrent && hand.pause(chosen),
    onUndo: hand.undo,
    onOpen: () => rows.focusedRow !== null && open(rows.focusedRow),
    onCopy: copy,
  });
  return (
    <div
      style={{
        display: 'grid',
        gridTemplateColumns: isCross
          ? 'minmax(0, 1fr)'
          : isPanelFolded
            ? 'minmax(0, 1fr) 28px'
            : 'minmax(0, 1fr) 340px',
        minHeight: 0,
      }}
    >
      <main
        style={{ display: 'grid', gridTemplateRows: 'auto auto auto minmax(0, 1fr) auto', minHeight: 0 }}
        aria-busy={isFetching || !isCurrent}
      >
        <div>
          <LensBar state={state} path={arranged?.path ?? []} />
          <FieldSentence arranged={arranged} loaded={loaded} account={account} />
        </div>
        <Conditions
          fields={fieldsOffered(state.lens)}
          conditions={stack}
          onChange={state.setStack}
          isAdding={isAdding}
          onAdding={setAdding}
          brushed={area ? shown.length : null}
          onClearBrush={brush.end}
          before={<SwathMenu account={account.id} state={state} isOpen={isSwathsOpen} onOpen={openSwaths} />}
          after={
            <span style={{ marginLeft: 'auto', whiteSpace: 'nowrap' }}>
              <Button ref={columnsButton} onClick={() => openColumns(true)} title="o">
                Columns
              </Button>
              <Button onClick={copy} title="ctrl c">
                Copy
              </Button>
              <Button onClick={() => save('csv')}>CSV</Button>
              <Button onClick={() => save('xlsx')}>XLSX</Button>
            </span>
          }
        />
        {isCross ? (
          <span />
        ) : (
          <PicturePane
            account={account}
            engine={engine}
            loaded={loaded}
            state={state}
            all={all}
            points={points}
            area={area}
            onArea={setArea}
            rows={rows}
            isFolded={isPictureFolded}
            onFold={foldPicture}
          />
        )}
        {arranged === null ? (
          <p className="faint" style={{ padding: 16 }} role="status">
            Looking through {table.size.toLocaleString('en-GB')} rows …
          </p>
        ) : isCross ? (
          <CrossTabView account={account} engine={engine} loaded={loaded} state={state} rows={shown} />
        ) : (
          <FieldRows
            account={account.id}
            loaded={loaded}
            arranged={arranged}
            shown={shown}
            rows={rows}
            state={state}
            columns={columnsState as never}
            onSight={onSight}
            onOpen={open}
          />
        )}
        {isCross ? (
          <span />
        ) : (
          <ChangeBar
            account={account}
            table={table}
            chosen={chosen}
            selected={rows.selection.size}
            staged={hand.staged}
            onStage={hand.stage}
            inputRef={moveBar}
          />
        )}
        <ColumnsMenu
          isOpen={isColumnsOpen}
          anchor={() => columnsButton.current!}
          onClose={() => openColumns(false)}
          all={columns}
          columns={columnsState as never}
          onReset={reset}
        />
      </main>
      {isCross ? null : isPanelFolded ? (
        <button type="button" className="folded" onClick={foldPanel} title="i" aria-label="Show the evidence">
          Evidence
        </button>
      ) : (
        <EvidencePanel
          account={account}
          engine={engine}
          loaded={loaded}
          state={state}
          row={rows.focusedRow}
          onRow={rows.focusRow}
        />
      )}
    </div>
  );
}
