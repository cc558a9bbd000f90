// Joi schemas of what comes in about schedules.
import Joi from 'joi';
import type { OfAccount } from './requests';
import type { FollowRequest, NamedWeek } from './schedules';
import { id, week } from './schemas';

const name = Joi.string().trim().min(1).max(100);
const campaigns = Joi.array().items(id).min(1).max(5000).unique();

export const namedWeekRequest = Joi.object<OfAccount & NamedWeek & { was: string | null }>({
  account: id.required(),
  name: name.required(),
  week: week.required(),
  was: name.allow(null).default(null),
});
export const namedWeekRemoval = Joi.object<OfAccount & { name: string }>({
  account: id.required(),
  name: name.required(),
});

export const followRequest = Joi.object<FollowRequest>({
  account: id.required(),
  campaigns: campaigns.required(),
  follow: Joi.object({ name: name.required(), week: week.required() }).allow(null).required(),
  bases: Joi.number().greater(0).max(1).default(1),
});

export const weekPriceRequest = Joi.object<OfAccount & { campaigns: number[]; week: string }>({
  account: id.required(),
  campaigns: campaigns.required(),
  week: week.required(),
});
