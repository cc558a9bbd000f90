/** Which row the pointer is at, over the table or over a picture of the same rows: told without drawing either anew. */
export interface Hovered {
  get: () => number | null;
  set: (row: number | null) => void;
  subscribe: (listener: () => void) => () => void;
}

export function hoveredRow(): Hovered {
  let row: number | null = null;
  const listeners = new Set<() => void>();
  return {
    get: () => row,
    set: (next) => {
      if (next === row) return;
      row = next;
      for (const listener of listeners) listener();
    },
    subscribe: (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
}
