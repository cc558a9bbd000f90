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
