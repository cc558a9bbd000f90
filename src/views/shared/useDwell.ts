import { useEffect, useRef } from 'react';

/** A pointer on its way passes things in less, ms. */
const DWELL_MS = 60;

/** Does something with what was dwelt on: with the last of several that follow each other quickly. */
export function useDwell<T>(does: (on: T) => void): (on: T) => void {
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const latest = useRef(does);
  latest.current = does;
  useEffect(() => () => clearTimeout(timer.current), []);
  return (on) => {
    clearTimeout(timer.current);
    timer.current = setTimeout(() => latest.current(on), DWELL_MS);
  };
}
