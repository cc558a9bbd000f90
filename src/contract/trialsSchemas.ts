// Joi schemas of what comes in about trials by weeks.
import Joi from 'joi';
import type { OfAccount } from './requests';
import { followRequest } from './schedulesSchemas';
import { id } from './schemas';
import type { TrialRequest } from './trials';

const campaigns = followRequest.extract('campaigns');
export const trialRequest = Joi.object<TrialRequest>({
  account: id.required(),
  name: Joi.string().trim().min(1).max(100).required(),
  of: Joi.alternatives().conditional('.does', {
    switch: [
      {
        is: 'follow',
        then: Joi.object({
          does: Joi.valid('follow').required(),
          campaigns,
          follow: followRequest.extract('follow').disallow(null),
          bases: followRequest.extract('bases'),
        }),
      },
      {
        is: 'staged',
        then: Joi.object({
          does: Joi.valid('staged').required(),
          ids: Joi.array()
            .items(Joi.number().integer().min(1).max(9e15))
            .min(1)
            .max(5000)
            .unique()
            .required(),
        }),
      },
    ],
    otherwise: Joi.object({ does: Joi.valid('follow', 'staged').required() }).unknown(true),
  }),
  weeks: Joi.number().integer().min(4).max(52).required(),
  bounds: Joi.object({
    sales: Joi.number().greater(0).max(1).required(),
    rank: Joi.number().greater(0).max(10).required(),
  }).required(),
});

export const trialNeedsRequest = Joi.object<OfAccount & { campaigns: number[] }>({
  account: id.required(),
  campaigns,
});

export const trialAct = Joi.object<OfAccount & { id: number; does: 'stop' | 'keep' }>({
  account: id.required(),
  id: id.required(),
  does: Joi.valid('stop', 'keep').required(),
});
