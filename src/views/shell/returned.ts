import type { PageName } from '../shared/frame/pages';
import { recall, remember } from '../shared/remembered';

/** Places that open with the view they were last left with, also on another day. */
export const REMEMBERED: readonly PageName[] = ['field'];

/** The queries of the places that were seen. */
export type Searches = Partial<Record<PageName, string>>;

const accountOf = (search: string) => new URLSearchParams(search).get('account');
const isBare = (search: string) => [...new URLSearchParams(search).keys()].every((key) => key === 'account');
const lastViews = (place: PageName) => recall<Record<string, string>>(`${place}-last`, {});

/** What a bare address asks of a place: what it showed before, of the same account. */
export function returned(place: PageName, asked: string, searches: Searches): string {
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
export function keepView(place: PageName, search: string): void {
  const asked = new URLSearchParams(search);
  const account = asked.get('account') ?? '';
  asked.delete('account');
  const view = asked.toString();
  remember(`${place}-last`, { ...lastViews(place), [account]: view, '': view });
}
