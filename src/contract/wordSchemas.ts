// Joi schemas of the requests about words and terms.
import Joi from 'joi';
import { id } from './schemas';

export const coreTermRequest = Joi.object({
  account: id.required(),
  productId: id.required(),
  term: Joi.string().trim().min(1).max(200).required(),
});
