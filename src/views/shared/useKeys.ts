import { useEffect, useLayoutEffect, useRef } from 'react';

/** Keys of a view: "j", "shift+arrowdown", "ctrl+a", or "g r" for two keys in a row. */
export type KeyMap = Record<string, (event: KeyboardEvent) => void>;

const SEQUENCE_MS = 900;
/** First keys of pairs. What follows one never acts by itself: another listener may know the pair. */
const PREFIXES = new Set(['g']);

function nameOf(event: KeyboardEvent): string {
  const parts = [];
  if (event.ctrlKey || event.metaKey) parts.push('ctrl');
  if (event.shiftKey && event.key.length > 1) parts.push('shift');
  parts.push(event.key === ' ' ? 'space' : event.key.toLowerCase());
  return parts.join('+');
}

/** Whether keys belong to what is being typed or chosen right now. */
function isTyping({ target, key }: KeyboardEvent): boolean {
  const element = target as HTMLElement | null;
  if (!element?.closest) return false;
  // A slider takes the keys that move it, and no other.
  if (element.matches('input[type="range"]') && !element.closest('[role="dialog"]'))
    return /^(Arrow|Page|Home|End)/.test(key);
  // A box that is ticked keeps its space.
  if (element.matches('input[type="checkbox"]') && !element.closest('[role="dialog"]')) return key === ' ';
  // So do a closed list of choices and a row of tabs.
  if (element.closest('[role="combobox"]:not(input), [role="tab"]'))
    return /^(Arrow|Home|End|Enter| )/.test(key);
  return (
    element.closest(
      'input, textarea, select, [contenteditable], [role="dialog"], [role="listbox"], [role="menu"]',
    ) !== null
  );
}

/** Listens to keys while the view is shown. Keys typed into fields and dialogs are left alone. */
export function useKeys(keys: KeyMap): void {
  const current = useRef(keys);
  // Before anything is painted: a key that follows at once meets the rows that are seen, never the ones before.
  useLayoutEffect(() => {
    current.current = keys;
  });
  useEffect(() => {
    let first = '';
    let firstAt = 0;
    const listen = (event: KeyboardEvent) => {
      if (event.altKey || isTyping(event)) return;
      const name = nameOf(event);
      const isSecond = PREFIXES.has(first) && Date.now() - firstAt < SEQUENCE_MS;
      const action = current.current[isSecond ? `${first} ${name}` : name];
      first = isSecond ? '' : name;
      firstAt = Date.now();
      if (!action) return;
      // A focused button keeps its own space and enter.
      if (
        (name === 'space' || name === 'enter') &&
        (event.target as HTMLElement).closest('button, a, [role="button"]')
      )
        return;
      event.preventDefault();
      action(event);
    };
    addEventListener('keydown', listen);
    return () => removeEventListener('keydown', listen);
  }, []);
}
