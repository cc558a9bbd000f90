import { useLayoutEffect, useRef } from 'react';
import type { KeyMap } from '../../shared/useKeys';

/**
 * Keys that decide on rows. While what was just decided is on its way out of the rows shown, a further key waits for them, so that a quick
 * hand loses none. While other rows are on their way (another order, other conditions) a key does nothing: nobody has seen yet what it
 * would decide on.
 * @param isCurrent whether the rows shown are those asked for
 * @param list what the rows are but for what was decided on them: load, step, conditions, order
 * @param acts what each key decides on the rows that are chosen then
 */
export function useRowDecisions(isCurrent: boolean, list: string, acts: Record<string, () => void>): KeyMap {
  const shown = useRef<string | null>(null);
  const waiting = useRef<string[]>([]);
  useLayoutEffect(() => {
    if (isCurrent) shown.current = list;
    if (shown.current !== list) waiting.current = [];
    const next = isCurrent ? waiting.current.shift() : undefined;
    if (next !== undefined) acts[next]();
  });
  const decide = (key: string, isHeldDown: boolean) => {
    if (isCurrent && waiting.current.length === 0) acts[key]();
    else if (shown.current === list && !isHeldDown) waiting.current.push(key);
  };
  return Object.fromEntries(
    Object.keys(acts).map((key) => [key, (event: KeyboardEvent) => decide(key, event.repeat)]),
  );
}
