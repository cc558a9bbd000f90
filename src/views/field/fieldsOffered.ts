import { NUMBER_FIELDS } from '../../core/conditions';
import { lensNamed } from '../../core/lenses';
import type { LensName } from '../../core/lenses';
import type { FieldsOffered } from '../shared/conditions/words';

/** The fields that conditions of a lens can be on. */
export function fieldsOffered(lens: LensName): FieldsOffered {
  const hasKind = !['campaigns', 'ad-groups', 'products'].includes(lens);
  // Modifiers are no money, and terms have no bid: a condition on one would compare what cannot be compared.
  const hasBid = lensNamed(lens).value !== 'modifier' && lensNamed(lens).value !== 'none';
  return {
    numbers: NUMBER_FIELDS.map(({ key }) => key).filter((key) => hasBid || key !== 'bid'),
    texts: ['name', 'place'],
    choices: [
      'standing',
      'evidence',
      'state',
      ...(hasKind ? (['kind'] as const) : []),
      ...(lens === 'terms' ? (['termKind', 'seen'] as const) : []),
    ],
  };
}
