// Joi schemas of growth plans.
import Joi from 'joi';
import { STAGES } from '../core/growth';
import type { GrowthPlan } from '../core/growth';
import type { GrowthCampaignsRequest, NewGrowthRequest } from './growth';
import type { OfAccount } from './requests';
import { id, money } from './schemas';

const isOn = Joi.boolean().required();

export const growthPlan = Joi.object<GrowthPlan>({
  total: money.min(10_000).required(),
  find: Joi.object({
    isOn,
    automatic: Joi.boolean().required(),
    terms: Joi.array().items(Joi.string().trim().min(1).max(200)).max(200).unique().required(),
    others: Joi.boolean().required(),
    bid: money.min(1).required(),
    share: Joi.number().min(0.01).max(1).required(),
    cap: money.min(10_000).allow(null).required(),
    chance: Joi.object({
      spend: money.min(10_000).required(),
      days: Joi.number().integer().min(1).max(120).required(),
    }).required(),
  }).required(),
  tune: Joi.object({ isOn, orders: Joi.number().integer().min(1).max(100).required() }).required(),
  grow: Joi.object({ isOn }).required(),
});

export const growthQuery = Joi.object<OfAccount & { id?: number }>({ account: id.required(), id });
export const newGrowthRequest = Joi.object<NewGrowthRequest>({
  account: id.required(),
  productId: id.required(),
});
export const growthCampaignsRequest = Joi.object<GrowthCampaignsRequest>({
  account: id.required(),
  id: id.required(),
  campaigns: Joi.array()
    .items(
      Joi.object({
        campaignId: id.required(),
        stage: Joi.valid(...STAGES)
          .allow(null)
          .required(),
      }),
    )
    .min(1)
    .max(500)
    .unique('campaignId')
    .required(),
});
