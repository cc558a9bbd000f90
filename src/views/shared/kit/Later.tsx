import { useDeferredValue } from 'react';
import type { ReactNode } from 'react';

/** What is drawn once all that stands beside it is on screen: the rows are what is waited for. */
export function Later({ children }: { children: ReactNode }) {
  return useDeferredValue(true, false) && children;
}
