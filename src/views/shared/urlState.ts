import { useCallback, useState } from 'react';

/** Values of the page's address, as they were when the page opened and as the view sets them since. */
export function useUrlState() {
  const [values, setValues] = useState(() => new URLSearchParams(location.search));
  const set = useCallback((changes: Record<string, string | string[] | null>) => {
    setValues((old) => {
      const next = new URLSearchParams(old);
      for (const [key, value] of Object.entries(changes)) {
        next.delete(key);
        for (const one of Array.isArray(value) ? value : value === null ? [] : [value]) next.append(key, one);
      }
      history.replaceState(null, '', `${location.pathname}?${next}`);
      return next;
    });
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
