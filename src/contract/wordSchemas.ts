// Joi schemas of the requests about words and terms.
import Joi from 'joi';
import { NEGATIVE_SCOPES } from '../core/negatives';
import { id } from './schemas';

export const coreTermRequest = Joi.object({
  account: id.required(),
  productId: id.required(),
  term: Joi.string().trim().min(1).max(200).required(),
});

export const routesRequest = Joi.object({
  account: id.required(),
  routes: Joi.array()
    .items(
      Joi.object({
        sourceId: id.required(),
        takes: Joi.string().valid('words', 'items').required(),
        homeId: id.required(),
        match: Joi.string().valid('exact', 'phrase', 'broad').required(),
        block: Joi.string()
          .valid('nowhere', ...NEGATIVE_SCOPES)
          .required(),
      }),
    )
    .max(20_000)
    .required(),
});
