// Joi schemas of the requests that tune bids.
import Joi from 'joi';
import { ASIDE_VERDICTS } from './bids';
import { day, id } from './schemas';

export const asideRequest = Joi.object({
  account: id.required(),
  targetIds: Joi.array().items(id).min(1).max(20_000).required(),
  verdict: Joi.string()
    .valid(...ASIDE_VERDICTS, 'back')
    .required(),
  until: day,
  note: Joi.string().trim().allow('').max(2000),
});
