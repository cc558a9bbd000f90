import type { KeyMap } from './useKeys';
import type { RowsState } from './useRows';

const PAGE = 10;

/** The keys that move over rows which no picture goes with, and choose them. */
export const rowMoves = (rows: RowsState): KeyMap => ({
  j: () => rows.move(1, false),
  k: () => rows.move(-1, false),
  arrowdown: () => rows.move(1, false),
  arrowup: () => rows.move(-1, false),
  'shift+arrowdown': () => rows.move(1, true),
  'shift+arrowup': () => rows.move(-1, true),
  pagedown: () => rows.move(PAGE, false),
  pageup: () => rows.move(-PAGE, false),
  'ctrl+a': rows.selectAll,
  escape: rows.clearSelection,
});
