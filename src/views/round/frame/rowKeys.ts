import type { useBrush } from '../../shared/picture/useBrush';
import type { KeyMap } from '../../shared/useKeys';
import type { RowsState } from '../../shared/useRows';

const PAGE = 8;

/** Keys that move over the rows of a step and choose them. */
export function rowKeys(rows: RowsState, brush: ReturnType<typeof useBrush>): KeyMap {
  return {
    ...brush.keys,
    pagedown: () => rows.move(PAGE, false),
    pageup: () => rows.move(-PAGE, false),
    home: () => rows.move(-1e9, false),
    end: () => rows.move(1e9, false),
    'ctrl+a': rows.selectAll,
    escape: () => {
      rows.clearSelection();
      brush.end();
    },
  };
}
