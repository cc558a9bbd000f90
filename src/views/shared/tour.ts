import { useSyncExternalStore } from 'react';
import { recall, remember } from './remembered';

const KEY = 'tour-at';
/** The tour was left, or is over. */
export const TOUR_OVER = -1;

const listeners = new Set<() => void>();
let at: number | null = null;

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};
const read = () => (at ??= recall(KEY, 0));

function set(next: number): void {
  at = next;
  remember(KEY, next);
  for (const listener of listeners) listener();
}

/** Starts the tour of the Round from its beginning. */
export const takeTourAgain = () => set(0);

/** At which stop of the tour the reader is; this browser remembers it. */
export function useTour(): { at: number; go: (stop: number) => void } {
  return { at: useSyncExternalStore(subscribe, read), go: set };
}
