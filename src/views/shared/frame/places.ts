/** Places that work, in the order of the top bar. */
export const PLACES = [
  { name: 'round', label: 'Round', key: 'r' },
  { name: 'field', label: 'Field', key: 'f' },
  { name: 'routes', label: 'Routes', key: 'o' },
  { name: 'words', label: 'Words', key: 'w' },
  { name: 'ledger', label: 'Ledger', key: 'l' },
  { name: 'setup', label: 'Setup', key: 's' },
] as const;

export type PlaceName = (typeof PLACES)[number]['name'];

/** Address of a place for an account. */
export function placeLink(place: PlaceName, account?: number): string {
  return account === undefined ? `/${place}` : `/${place}?account=${account}`;
}

export function goTo(place: PlaceName, account?: number): void {
  location.assign(placeLink(place, account));
}
