import { createContext, useCallback, useContext, useMemo } from 'react';
import { useSearch } from 'wouter';
import { navigate } from 'wouter/use-browser-location';

type Changes = Record<string, string | string[] | null>;

/** The query of the place's own address, which it keeps while another place is shown; null outside a place. */
export const PlaceSearch = createContext<string | null>(null);

/**
 * Values of the place's address. With `isStep` the browser's Back returns to what stood there before.
 */
export function useUrlState() {
  const own = useContext(PlaceSearch);
  const live = useSearch();
  const search = own ?? live;
  const values = useMemo(() => new URLSearchParams(search), [search]);
  const set = useCallback((changes: Changes, isStep = false) => {
    const next = new URLSearchParams(location.search);
    for (const [key, value] of Object.entries(changes)) {
      next.delete(key);
      for (const one of Array.isArray(value) ? value : value === null ? [] : [value]) next.append(key, one);
    }
    navigate(`${location.pathname}?${next}`, { replace: !isStep });
  }, []);
  return { values, set };
}
