/** Places that work, in the order of the top bar. */
export const PAGES = [
  { name: 'round', label: 'Round', key: 'r' },
  { name: 'field', label: 'Field', key: 'f' },
  { name: 'routes', label: 'Routes', key: 'o' },
  { name: 'words', label: 'Words', key: 'w' },
  { name: 'ledger', label: 'Ledger', key: 'l' },
  { name: 'setup', label: 'Setup', key: 's' },
] as const;

/** Parts of places that can be gone to by name. */
export const PARTS = [
  { place: 'words', part: 'parts', label: 'Word parts' },
  { place: 'words', part: 'core', label: 'Core lists' },
  { place: 'words', part: 'negatives', label: 'Negatives that stand' },
  { place: 'words', part: 'lists', label: 'Negative lists' },
  { place: 'words', part: 'preview', label: 'What a keyword catches' },
  { place: 'setup', part: 'products', label: 'Products and costs' },
  { place: 'setup', part: 'goals', label: 'Targets by scope' },
  { place: 'setup', part: 'words', label: 'Brands and words' },
] as const;

export type PageName = (typeof PAGES)[number]['name'];

/** Address of a place for an account. */
export function pageLink(place: PageName, account?: number): string {
  return account === undefined ? `/${place}` : `/${place}?account=${account}`;
}

/** @param part of the place, where it has some */
export function goTo(place: PageName, account?: number, part?: string): void {
  const link = pageLink(place, account);
  location.assign(part === undefined ? link : `${link}${link.includes('?') ? '&' : '?'}part=${part}`);
}
