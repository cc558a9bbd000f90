import { navigate } from 'wouter/use-browser-location';

/** Places, in the order of the top bar. Each is a folder of the same name in views, whose door exports it as `Place`. */
export const PAGES = [
  { name: 'round', label: 'Round', key: 'r' },
  { name: 'field', label: 'Field', key: 'f' },
  { name: 'routes', label: 'Routes', key: 'o' },
  { name: 'words', label: 'Words', key: 'w' },
  { name: 'hours', label: 'Hours', key: 'h' },
  { name: 'build', label: 'Build', key: 'b' },
  { name: 'standing', label: 'Standing', key: 'n' },
  { name: 'ledger', label: 'Ledger', key: 'l' },
  { name: 'setup', label: 'Setup', key: 's' },
] as const;

/** Parts of places that can be gone to by name. */
export const PARTS = [
  { page: 'words', part: 'parts', label: 'Word parts' },
  { page: 'words', part: 'core', label: 'Core lists' },
  { page: 'words', part: 'negatives', label: 'Negatives that stand' },
  { page: 'words', part: 'lists', label: 'Negative lists' },
  { page: 'words', part: 'preview', label: 'What a keyword catches' },
  { page: 'words', part: 'rank', label: 'Rank' },
  { page: 'words', part: 'losses', label: 'Accepted losses' },
  { page: 'setup', part: 'products', label: 'Products and costs' },
  { page: 'setup', part: 'goals', label: 'Targets by scope' },
  { page: 'setup', part: 'words', label: 'Brands and words' },
  { page: 'setup', part: 'people', label: 'People' },
  { page: 'setup', part: 'trail', label: 'Trail' },
] as const;

/** What a part of a place is called. */
export const partLabel = (page: string, part: string): string =>
  PARTS.find((one) => one.page === page && one.part === part)!.label;

export type PageName = (typeof PAGES)[number]['name'];

/** The place of an address's path; null where there is none. */
export function pageOf(path: string): PageName | null {
  return PAGES.find(({ name }) => `/${name}` === path.replace(/\/$/, ''))?.name ?? null;
}

/** Address of a place for an account. */
export function pageLink(page: PageName, account?: number): string {
  return account === undefined ? `/${page}` : `/${page}?account=${account}`;
}

/** @param part of the place, where it has some */
export function goTo(page: PageName, account?: number, part?: string): void {
  const link = pageLink(page, account);
  navigate(part === undefined ? link : `${link}${link.includes('?') ? '&' : '?'}part=${part}`);
}
