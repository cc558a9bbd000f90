import { LENSES } from '../../core/lenses';
import type { ArrangedRows } from '../../plans/field';
import { useKeys } from '../shared/useKeys';
import type { KeyMap } from '../shared/useKeys';
import type { useBrush } from '../shared/picture/useBrush';
import type { RowsState } from '../shared/useRows';
import type { FieldState } from './useFieldState';

export interface FieldActions {
  onWindow: () => void;
  onAdding: () => void;
  onSwaths: () => void;
  onColumns: () => void;
  onFold: () => void;
  onPanel: () => void;
  onEdit: () => void;
  onMoveBar: () => void;
  onNudge: (by: number) => void;
  onPause: () => void;
  onOpen: () => void;
  onCopy: () => void;
}

const PAGE = 12;

/** The field's keys: everything without the mouse. */
export function useFieldKeys(
  state: FieldState,
  rows: RowsState,
  brush: ReturnType<typeof useBrush>,
  path: ArrangedRows['path'],
  act: FieldActions,
): void {
  const keys: KeyMap = {
    ...brush.keys,
    pagedown: () => rows.move(PAGE, false),
    pageup: () => rows.move(-PAGE, false),
    'shift+pagedown': () => rows.move(PAGE, true),
    'shift+pageup': () => rows.move(-PAGE, true),
    home: () => rows.move(-1e9, false),
    end: () => rows.move(1e9, false),
    'ctrl+a': rows.selectAll,
    'ctrl+c': () => {
      // A text that is marked on the page is what she wants to copy.
      if (String(getSelection()) === '') act.onCopy();
      else void navigator.clipboard?.writeText(String(getSelection()));
    },
    escape: () => {
      rows.clearSelection();
      brush.end();
    },
    enter: act.onOpen,
    backspace: () => {
      if (state.scope) state.setScope(path.at(-2)?.scope ?? null);
    },
    e: act.onEdit,
    m: act.onMoveBar,
    '[': () => act.onNudge(-0.05),
    ']': () => act.onNudge(0.05),
    p: act.onPause,
    s: act.onAdding,
    v: act.onSwaths,
    o: act.onColumns,
    f: act.onFold,
    i: act.onPanel,
    x: () => state.setShape(state.shape === 'cross' ? 'rows' : 'cross'),
    w: act.onWindow,
  };
  LENSES.forEach(({ name }, at) => (keys[String(at + 1)] = () => state.setLens(name)));
  useKeys(keys);
}
