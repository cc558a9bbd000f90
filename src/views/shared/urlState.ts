import { useCallback, useEffect, useState } from 'react';

type Changes = Record<string, string | string[] | null>;

/**
 * Values of the page's address, as they were when the page opened and as the view sets them since. With `isStep` the
 * browser's Back returns to what stood there before.
 */
export function useUrlState() {
  const [values, setValues] = useState(() => new URLSearchParams(location.search));
  useEffect(() => {
    const back = () => setValues(new URLSearchParams(location.search));
    addEventListener('popstate', back);
    return () => removeEventListener('popstate', back);
  }, []);
  const set = useCallback((changes: Changes, isStep = false) => {
    const next = new URLSearchParams(location.search);
    for (const [key, value] of Object.entries(changes)) {
      next.delete(key);
      for (const one of Array.isArray(value) ? value : value === null ? [] : [value]) next.append(key, one);
    }
    const address = `${location.pathname}?${next}`;
    if (isStep) history.pushState(null, '', address);
    else history.replaceState(null, '', address);
    setValues(next);
  }, []);
  return { values, set };
}

/** A setting remembered in this browser. Broken or missing storage gives the fallback. */
export function recall<T>(key: string, fallback: T): T {
  try {
    const text = localStorage.getItem(`mowing-${key}`);
    return text === null ? fallback : (JSON.parse(text) as T);
  } catch {
    return fallback;
  }
}

/** Remembers a setting in this browser. */
export function remember(key: string, value: unknown): void {
  try {
    localStorage.setItem(`mowing-${key}`, JSON.stringify(value));
  } catch {
    // A full or forbidden storage must not stop the work; the setting is lost with the page.
  }
}
