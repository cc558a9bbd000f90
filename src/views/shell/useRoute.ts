import { useEffect, useState } from 'react';
import { navigate, usePathname, useSearch } from 'wouter/use-browser-location';
import { recall, remember } from '../shared/urlState';
import { PAGES, pageOf } from '../shared/frame/pages';
import type { PageName } from '../shared/frame/pages';

/** Places that open with the view they were last left with, also on another day. */
const REMEMBERED: readonly PageName[] = ['field'];

/** The queries of the places that were seen. */
type Searches = Partial<Record<PageName, string>>;

interface Route {
  place: PageName;
  searches: Searches;
  /** What the address is about to say in place of what it says; null where it stays. */
  pending: string | null;
}

const accountOf = (search: string) => new URLSearchParams(search).get('account');
const isBare = (search: string) => [...new URLSearchParams(search).keys()].every((key) => key === 'account');
const lastViews = (place: PageName) => recall<Record<string, string>>(`${place}-last`, {});

/** What a bare address asks of a place: what it showed before, of the same account. */
function returned(place: PageName, asked: string, searches: Searches): string {
  if (!isBare(asked)) return asked;
  const account = accountOf(asked);
  const before =
    searches[place] ?? (REMEMBERED.includes(place) ? lastViews(place)[account ?? ''] : undefined);
  if (before === undefined) return asked;
  const of = accountOf(before);
  if (of !== null && account !== null && of !== account) return asked;
  const next = new URLSearchParams(before);
  next.delete('account');
  return new URLSearchParams([...(account === null ? [] : [['account', account]]), ...next]).toString();
}

/** Keeps the view that a place shows, for another day. */
function keepView(place: PageName, search: string): void {
  const asked = new URLSearchParams(search);
  const account = asked.get('account') ?? '';
  asked.delete('account');
  const view = asked.toString();
  remember(`${place}-last`, { ...lastViews(place), [account]: view, '': view });
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
