// Joi schemas of what is asked about hours.
import Joi from 'joi';
import type { HoursQuery } from './hours';
import { day, id } from './schemas';

export const hoursQuery = Joi.object<HoursQuery>({
  account: id.required(),
  weeks: Joi.number().integer().min(4).max(26).default(12),
  until: day,
  scope: Joi.valid('account', 'line', 'product', 'campaign').default('account'),
  scopeId: Joi.when('scope', {
    is: 'account',
    then: Joi.number().valid(0).default(0),
    otherwise: id.required(),
  }),
});
