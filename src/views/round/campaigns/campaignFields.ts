import { NUMBER_FIELDS } from '../../../core/conditions';
import type { FieldsOffered } from '../../shared/conditions/words';

/** What conditions of a step over campaigns can be about. */
export const CAMPAIGN_FIELDS: FieldsOffered = {
  numbers: NUMBER_FIELDS.map(({ key }) => key),
  texts: ['name', 'place', 'product', 'line'],
  choices: ['evidence', 'standing', 'running', 'campaignState', 'aim'],
};
