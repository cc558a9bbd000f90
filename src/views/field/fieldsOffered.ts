import { NUMBER_FIELDS, OF_PRODUCTS, PLAN_FIELDS } from '../../core/conditions';
import { lensNamed } from '../../core/lenses';
import type { LensName } from '../../core/lenses';
import type { FieldsOffered } from '../shared/conditions/words';

/** The fields that conditions of a lens can be on. */
export function fieldsOffered(lens: LensName): FieldsOffered {
  const { entity, value } = lensNamed(lens);
  const hasKind = !['campaign', 'ad-group', 'product'].includes(entity);
  // Modifiers are no money, and terms have no bid: a condition on one would compare what cannot be compared.
  const hasBid = value !== 'modifier' && value !== 'none';
  return {
    numbers: [...NUMBER_FIELDS, ...(entity === 'target' ? PLAN_FIELDS : [])]
      .map(({ key }) => key)
      .filter((key) => (hasBid || key !== 'bid') && (entity === 'product' || !OF_PRODUCTS.has(key))),
    texts: ['name', 'place', 'product', 'line'],
    choices: [
      'standing',
      'evidence',
      'state',
      'running',
      ...(entity === 'product' ? [] : (['campaignState', 'flex'] as const)),
      ...(entity === 'target' || entity === 'term' ? (['chosen'] as const) : []),
      'aim',
      ...(hasKind ? (['kind'] as const) : []),
      ...(entity === 'target' ? (['judged'] as const) : []),
      ...(entity === 'term' ? (['termKind', 'seen'] as const) : []),
    ],
  };
}
