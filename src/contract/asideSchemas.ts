// Joi schema of the requests that put proposals aside.
import Joi from 'joi';
import { ASIDE_VERDICTS, BID_QUEUE } from './aside';
import type { AsideRequest, LossRequest } from './aside';
import { day, id, money, subject } from './schemas';

const note = Joi.string().trim().allow('').max(2000);
const most = money.min(10_000).allow(null);

export const asideRequest = Joi.object<AsideRequest>({
  account: id.required(),
  queue: Joi.string()
    .pattern(/^[a-z][a-z-]{1,30}$/, 'a queue such as bids')
    .required(),
  subjects: Joi.array().items(subject).min(1).max(20_000).required(),
  verdict: Joi.string()
    .valid(...ASIDE_VERDICTS, 'back')
    // A loss is accepted for bids; the other queues have none.
    .when('queue', { not: BID_QUEUE, then: Joi.invalid('accepted-loss') })
    .required(),
  until: day,
  note,
  most,
});

/** Whose losses can be accepted. */
const lossSubject = Joi.string().pattern(
  /^(target \d+|campaign \d+|product-term \d+ \d+)$/,
  'a target, a campaign or a product’s term, such as “target 12”',
);

export const lossRequest = Joi.object<LossRequest>({
  account: id.required(),
  subjects: Joi.array().items(lossSubject).min(1).max(2_000).unique().required(),
  does: Joi.string().valid('accept', 'end', 'bid').required(),
  until: day.when('does', { is: 'accept', then: Joi.required(), otherwise: Joi.forbidden() }),
  note,
  most,
});
