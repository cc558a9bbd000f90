// Joi schemas of what comes in about an account's money.
import Joi from 'joi';
import type { MonthGoal } from './field';
import type { OfAccount } from './requests';
import { id, money } from './schemas';
import type { SpendPlan } from './money';
import type { OwnCampaignRequest } from './strongTarget';

export const monthGoalRequest = Joi.object<OfAccount & MonthGoal>({
  account: id.required(),
  month: Joi.string()
    .pattern(/^20\d{2}-(0[1-9]|1[0-2])-01$/, 'the first day of a month from 2000 to 2099')
    .required(),
  sales: money.min(1).allow(null).required(),
  spend: money.min(1).allow(null).required(),
});

export const yearQuery = Joi.object<OfAccount & { year: string }>({
  account: id.required(),
  year: Joi.string()
    .pattern(/^20\d{2}$/, 'a year from 2000 to 2099')
    .required(),
});

const partPlace = {
  account: id.required(),
  scope: Joi.valid('account', 'line', 'product', 'campaign').required(),
  scopeId: Joi.when('scope', { is: 'account', then: Joi.valid(0).required(), otherwise: id.required() }),
  span: Joi.valid('day', 'month').required(),
};
export const spendPlanRequest = Joi.object<OfAccount & SpendPlan>({
  ...partPlace,
  spend: money.min(10_000).required(),
});
export const spendPlanRemoval = Joi.object<OfAccount & Omit<SpendPlan, 'spend'>>(partPlace);

export const ownCampaignRequest = Joi.object<OwnCampaignRequest>({
  account: id.required(),
  targetId: id.required(),
  name: Joi.string().trim().min(1).max(200).required(),
  budget: money.min(1).required(),
  leaves: money.min(1).required(),
});

export const topUpRequest = Joi.object<OfAccount & { amount: number }>({
  account: id.required(),
  amount: money.min(10_000).max(1e12).required(),
});
