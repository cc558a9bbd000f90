import { writeScope } from '../../../core/lenses';
import type { LensName } from '../../../core/lenses';
import type { Found } from '../../../plans/field';
import { pageLink } from './pages';

/** What is shown of a thing that was found. */
const LENS: Record<Found['kind'], LensName> = {
  product: 'campaigns',
  campaign: 'ad-groups',
  'ad group': 'terms',
  keyword: 'terms',
  target: 'terms',
  'search term': 'terms',
};

/** Where a thing that was found is looked at. */
export function foundLink(found: Found, account: number | undefined): string {
  const query = new URLSearchParams({ lens: LENS[found.kind] });
  if (found.scope) query.set('in', writeScope(found.scope));
  if (found.term) query.set('where', `name~${found.term.replaceAll('|', '%7C')}`);
  return `${pageLink('field', account)}&${query}`;
}
