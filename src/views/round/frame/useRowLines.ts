import { useSyncExternalStore } from 'react';
import { recall, remember } from '../../shared/remembered';

const KEY = 'two-lines';
const listeners = new Set<() => void>();
let isTwo: boolean | null = null;

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};
const read = () => (isTwo ??= recall(KEY, false));

function turn(): void {
  isTwo = !read();
  remember(KEY, isTwo);
  for (const listener of listeners) listener();
}

/** Whether a row of the round has a second line with its reason; this browser remembers it. */
export function useRowLines(): { isTwo: boolean; turn: () => void } {
  return { isTwo: useSyncExternalStore(subscribe, read), turn };
}
