import { useCallback, useMemo, useState } from 'react';

/**
 * Focus and selection over the rows shown, begun anew with another `list`. The focus goes with its row where that moves, and keeps its place when the row
 * under it is decided and goes.
 */
export function useRows(shown: Int32Array, list: string) {
  const [wanted, setFocus] = useState(0);
  const [anchor, setAnchor] = useState(0);
  const [selection, setSelection] = useState<ReadonlySet<number>>(new Set());
  const focus = Math.min(wanted, shown.length - 1);
  // Not in an effect: those run again when a place that was left is shown again, and it is to be as it was.
  const [begun, setBegun] = useState(list);
  if (begun !== list) {
    setBegun(list);
    setFocus(0);
    setSelection(new Set());
  }
  const [seen, setSeen] = useState(shown);
  if (seen !== shown) {
    setSeen(shown);
    const moved = begun === list && wanted < seen.length ? shown.indexOf(seen[wanted]) : -1;
    if (moved >= 0) setFocus(moved);
  }
  const clearSelection = useCallback(() => setSelection(new Set()), []);
  return useMemo(() => {
    const range = (from: number, to: number) =>
      Array.from(shown.slice(Math.min(from, to), Math.max(from, to) + 1));
    const clamp = (index: number) => Math.max(0, Math.min(shown.length - 1, index));
    return {
      focus,
      focusedRow: focus >= 0 ? shown[focus] : null,
      selection,
      setFocus: (index: number) => {
        setFocus(index);
        setAnchor(index);
        setSelection(new Set());
      },
      /** Moves the focus by some rows; `growing` takes the rows between into the selection. */
      move: (by: number, growing: boolean) => {
        const next = clamp(focus + by);
        setFocus(next);
        if (growing) setSelection(new Set(range(selection.size > 0 ? anchor : focus, next)));
        if (growing && selection.size === 0) setAnchor(focus);
        if (!growing) setAnchor(next);
      },
      select: (index: number, isRange: boolean) => {
        if (isRange) setSelection(new Set(range(anchor, index)));
        else {
          const next = new Set(selection);
          if (!next.delete(shown[index])) next.add(shown[index]);
          setSelection(next);
          setAnchor(index);
        }
        setFocus(index);
      },
      selectAll: () => setSelection(new Set(shown)),
      clearSelection,
      focusRow: (row: number) => {
        const index = shown.indexOf(row);
        if (index >= 0) setFocus(index);
      },
      /** The selected rows, or the focused one. */
      chosen: () => {
        if (selection.size > 0) return Array.from(shown.filter((row) => selection.has(row)));
        return focus >= 0 ? [shown[focus]] : [];
      },
    };
  }, [shown, focus, selection, anchor, clearSelection]);
}

export type RowsState = ReturnType<typeof useRows>;
