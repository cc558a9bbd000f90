// Joi schemas of questions about bids, and of the settings that they are asked at.
import Joi from 'joi';
import { EVIDENCE_GRADES } from '../core/evidence';
import type { BidsRequest, RoundSettings } from './bids';
import { aim, moneyChoices, ownStep, testCaps } from './planSchemas';
import { bid, goal, id, money } from './schemas';

const changes = (...items: Joi.Schema[]) =>
  Joi.array()
    .items(Joi.array().ordered(...items.map((item) => item.required())))
    .max(100_000)
    .required();
const times = Joi.number().min(0).max(100);
const isOn = Joi.boolean().required();

const settings = Joi.object<RoundSettings>({
  step: ownStep.required(),
  aim: aim.required(),
  limits: Joi.object({
    bidStep: bid.min(1).required(),
    minBid: bid.required(),
    maxBid: bid.required(),
  }).required(),
  isOnePrice: Joi.boolean(),
  modifiers: Joi.array().ordered(isOn, isOn, isOn).required(),
  hold: Joi.object({
    settledDays: Joi.number().integer().min(0).max(28).required(),
    secondSteps: isOn,
  }).required(),
  proof: Joi.object({
    orders: Joi.number().min(0).max(100).required(),
    grade: Joi.valid(...EVIDENCE_GRADES).required(),
  }).required(),
  testing: Joi.object({
    cap: money.min(0).allow(null).required(),
    share: Joi.number().min(0).max(1).required(),
  }).required(),
  leastMove: Joi.number().min(0).max(1).required(),
  leastEvidence: Joi.valid(...EVIDENCE_GRADES).required(),
  // Not said yet what it is for: null.
  money: moneyChoices
    .keys({ means: Joi.valid('sum stays', 'money', null) })
    .options({ presence: 'required' })
    .optional(),
  testCaps,
  budgetLimits: Joi.object({
    minBudget: money.required(),
    maxBudget: money.required(),
    bidStep: money.required(),
  }),
  ahead: Joi.object({
    bids: changes(id, bid),
    modifiers: changes(id, Joi.valid(0, 1, 2), times),
    budgets: changes(id, money),
    schedules: changes(id, times, times),
  }),
}).required();

const account = id.required();

export const bidPlanRequest = Joi.object<BidsRequest<'plan'> & { known?: string }>({
  account,
  settings,
  known: Joi.string().guid(),
});
export const bidTargetRequest = Joi.object<BidsRequest<'target'>>({
  account,
  settings,
  acos: Joi.number().greater(0).max(10).required(),
});
export const bidGoalRequest = Joi.object<BidsRequest<'goal'>>({
  account,
  settings,
  goal: goal.required(),
});
export const bidPlacementsRequest = Joi.object<BidsRequest<'placements'>>({ account, settings });
export const bidBudgetsRequest = Joi.object<BidsRequest<'budgets'>>({
  account,
  settings,
  locks: changes(id, money.min(0)),
});
export const bidSharesRequest = Joi.object<BidsRequest<'shares'>>({
  account,
  campaignId: id.required(),
  minBudget: money.min(0).required(),
});
export const bidWantedRequest = Joi.object<BidsRequest<'wanted'>>({
  account,
  settings,
  targetIds: Joi.array().items(id).max(100_000).required(),
});
