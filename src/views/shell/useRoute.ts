import { useEffect, useState } from 'react';
import { navigate, usePathname, useSearch } from 'wouter/use-browser-location';
import { PAGES, pageOf } from '../shared/frame/pages';
import type { PageName } from '../shared/frame/pages';
import { keepView, REMEMBERED, returned } from './returned';
import type { Searches } from './returned';

interface Route {
  place: PageName;
  searches: Searches;
  /** What the address is about to say in place of what it says; null where it stays. */
  pending: string | null;
}

function arrive(place: PageName, live: string, searches: Searches): Route {
  const search = returned(place, live, searches);
  return { place, searches: { ...searches, [place]: search }, pending: search === live ? null : search };
}

/** The place that the address names, and the query of every place that was seen since the page was opened. @param first where the address names none */
export function useRoute(first: PageName): Pick<Route, 'place' | 'searches'> {
  const place = pageOf(usePathname()) ?? first;
  const live = useSearch().replace(/^\?/, '');
  const [route, setRoute] = useState<Route>(() => arrive(place, live, {}));
  let next = route;
  if (route.place !== place) next = arrive(place, live, route.searches);
  else if (route.pending === null && route.searches[place] !== live)
    next = { ...route, searches: { ...route.searches, [place]: live } };
  if (next !== route) setRoute(next);
  const { pending } = next;
  useEffect(() => {
    if (pending === null) return;
    navigate(`/${place}?${pending}`, { replace: true });
    setRoute((old) => ({ ...old, pending: null }));
  }, [pending, place]);
  const shown = next.searches[place]!;
  useEffect(() => {
    document.title = `${PAGES.find(({ name }) => name === place)!.label} · Mowing`;
    if (REMEMBERED.includes(place)) keepView(place, shown);
  }, [place, shown]);
  return next;
}
