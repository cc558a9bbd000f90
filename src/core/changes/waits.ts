import type { ChangeState } from './change';

/** A change, and the one that has to be accepted before it goes. */
export interface Waits {
  id: number;
  afterId: number | null;
  /** State of the one it waits for; null where it waits for none. */
  afterState: ChangeState | null;
}

/** The state of what a change waits for in the end, outside of the list; null: it waits for nothing outside. */
function heldBy(one: Waits, list: ReadonlyMap<number, Waits>): ChangeState | null {
  let at = one;
  // No change waits for a later one, so the way up ends.
  for (let next = list.get(at.afterId ?? 0); next !== undefined; next = list.get(at.afterId ?? 0)) at = next;
  return at.afterState;
}

/**
 * Parts changes that are to be sent together: those that can go, and those that wait for a change that stays in the tray or has no answer
 * yet. One that waits for a refused or withdrawn change goes, and is refused with that as its reason.
 */
export function partWaiting<T extends Waits>(list: readonly T[]): { go: T[]; wait: T[] } {
  const byId = new Map(list.map((one) => [one.id, one]));
  const isHeld = (one: T) => {
    const state = heldBy(one, byId);
    return state === 'staged' || state === 'sending';
  };
  return { go: list.filter((one) => !isHeld(one)), wait: list.filter(isHeld) };
}
