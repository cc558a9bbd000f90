// Joi schema of the requests that put proposals aside.
import Joi from 'joi';
import { ASIDE_VERDICTS } from './aside';
import type { AsideRequest } from './aside';
import { day, id, subject } from './schemas';

export const asideRequest = Joi.object<AsideRequest>({
  account: id.required(),
  queue: Joi.string()
    .pattern(/^[a-z][a-z-]{1,30}$/, 'a queue such as bids')
    .required(),
  subjects: Joi.array().items(subject).min(1).max(20_000).required(),
  verdict: Joi.string()
    .valid(...ASIDE_VERDICTS, 'back')
    .required(),
  until: day,
  note: Joi.string().trim().allow('').max(2000),
});
