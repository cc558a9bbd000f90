import { NUMBER_FIELDS } from '../../core/conditions';
import type { LensName } from '../../core/lenses';
import type { FieldsOffered } from '../shared/conditions/words';

/** The fields that conditions of a lens can be on. */
export function fieldsOffered(lens: LensName): FieldsOffered {
  const hasKind = !['campaigns', 'ad-groups', 'products'].includes(lens);
  return {
    numbers: NUMBER_FIELDS.map(({ key }) => key),
    texts: ['name', 'place'],
    choices: hasKind ? ['standing', 'evidence', 'state', 'kind'] : ['standing', 'evidence', 'state'],
  };
}
