import type { LensName, LensScope, LensTable } from '../../../core/lenses';

/** What lies below a row: the lenses that are worth looking through inside it, the usual one first. */
export function belowOf(table: LensTable, row: number): { lens: LensName; scope: LensScope }[] {
  const inside = (kind: LensScope['kind'], id: number, lenses: LensName[]) =>
    id === 0 ? [] : lenses.map((lens) => ({ lens, scope: { kind, id } }));
  switch (table.lens) {
    case 'products':
      return inside('product', table.productId[row], ['campaigns', 'keywords', 'auto', 'terms']);
    case 'campaigns':
      return inside('campaign', table.campaignId[row], [
        'ad-groups',
        'keywords',
        'items',
        'auto',
        'terms',
        'placements',
      ]);
    case 'placements':
      return inside('campaign', table.campaignId[row], ['ad-groups', 'keywords', 'terms']);
    case 'ad-groups':
      return inside('ad-group', table.adGroupId[row], ['keywords', 'items', 'auto', 'terms']);
    case 'terms':
      return inside('ad-group', table.adGroupId[row], ['keywords', 'items', 'auto']);
    default:
      return inside('target', table.targetId[row], ['terms']);
  }
}
