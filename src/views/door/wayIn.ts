/** Where the door leads to: a page of this Mowing, never elsewhere, whatever a link says. @param search of the door's address */
export function wayIn(search: string): string {
  const to = new URLSearchParams(search).get('to') ?? '/';
  return /^\/(?![/\\])/.test(to) && !/[\t\n\r]/.test(to) ? to : '/';
}
