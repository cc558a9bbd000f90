import { useState } from 'react';

interface Asked {
  loadId: number;
  rows: number[];
}

/**
 * The rows that a question is about, from when it comes until it is answered: newer answers of the worker (the tray has
 * come in, say) neither change what is agreed to nor take the question away under the hand.
 * @param isAsking whether it was asked for
 * @param isCurrent whether the rows are those asked for: it comes with them
 * @param loadId what their numbers belong to; with another load it is put anew
 * @param rows those shown now
 */
export function useAskedRows(
  isAsking: boolean,
  isCurrent: boolean,
  loadId: number | undefined,
  rows: () => number[],
): number[] | null {
  const [held, setHeld] = useState<Asked | null>(null);
  let asked = isAsking && held?.loadId === loadId ? held : null;
  if (isAsking && !asked && isCurrent && loadId !== undefined) asked = { loadId, rows: rows() };
  if (asked !== held) setHeld(asked);
  return asked?.rows ?? null;
}
