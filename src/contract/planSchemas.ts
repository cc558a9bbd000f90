// Joi schemas of plans and of the choices that shape them.
import Joi from 'joi';
import { PACES } from '../core/bids';
import { EVIDENCE_GRADES } from '../core/evidence';
import { GOAL_SCOPES } from '../core/goals';
import type { ChoicesRequest } from './choices';
import type { AcceptRequest, PlanRequest } from './plan';
import { BID_QUEUES, CAMPAIGN_STEPS, TERM_STEPS } from './review';
import { id, money, windowFrom, windowTo } from './schemas';

export const aim = Joi.valid('grow', 'keep profit', 'strict');
const keptPaces = Object.keys(PACES).filter((pace) => pace !== 'to wanted');

const plan = {
  account: id.required(),
  step: Joi.valid(...BID_QUEUES, ...TERM_STEPS, ...CAMPAIGN_STEPS).required(),
  from: windowFrom,
  to: windowTo,
  target: Joi.number().greater(0).max(10),
  pace: Joi.valid(...Object.keys(PACES), 'own'),
  aim,
};

export const planQuery = Joi.object<PlanRequest>(plan).and('from', 'to');

export const acceptRequest = Joi.object<AcceptRequest>({
  ...plan,
  accept: Joi.alternatives(
    Joi.valid('all'),
    Joi.array()
      .items(id, Joi.string().pattern(/^\d+:\d+$/, 'a search term such as 12:345'))
      .min(1)
      .max(100_000),
  ).required(),
}).and('from', 'to');

const guideShare = Joi.number().greater(0).max(1).allow(null);
const guideCount = Joi.number().greater(0).max(1e9).allow(null);
const share = Joi.number().greater(0).max(10);
/** How far a bid may move in one round at her own pace. */
export const ownStep = Joi.object({
  down: Joi.number().greater(0).max(0.95).required(),
  up: share.required(),
});
/** Caps of tests for parts of the account. */
export const testCaps = Joi.array()
  .items(
    Joi.object({
      kind: Joi.valid(...GOAL_SCOPES.filter((scope) => scope !== 'account')).required(),
      id: id.required(),
      cap: money.min(0).required(),
    }),
  )
  .max(500)
  .unique(
    (a: { kind: string; id: number }, b: { kind: string; id: number }) => a.kind === b.kind && a.id === b.id,
  );
/** What the money is for. */
export const moneyChoices = Joi.object({
  means: Joi.valid('sum stays', 'money'),
  month: money.min(1).allow(null),
  over: Joi.number().min(1).max(1.5),
  byBids: Joi.array()
    .items(Joi.object({ campaignId: id.required(), perDay: money.min(10_000).required() }))
    .unique('campaignId')
    .max(5000),
});

export const choicesRequest = Joi.object<ChoicesRequest>({
  account: id.required(),
  bids: Joi.object({
    pace: Joi.valid(...keptPaces, 'own'),
    own: ownStep,
    aim,
    floor: money.min(1).allow(null),
    cap: money.min(1).allow(null),
    leastEvidence: Joi.valid(...EVIDENCE_GRADES),
    holdDays: Joi.number().integer().min(0).max(28),
    secondSteps: Joi.boolean(),
    provenOrders: Joi.number().integer().min(1).max(100),
    testCap: money.min(0).allow(null),
    testCaps,
  }),
  terms: Joi.object({
    basis: Joi.valid('chance', 'counts'),
    minOrders: Joi.number().min(1).max(1e6),
    maxAcos: share.allow(null),
    surety: Joi.number().greater(0).less(1),
    clicksMultiple: Joi.number().greater(0).max(1000),
    chance: Joi.number().greater(0).less(1),
    leastSpend: money.min(0),
    bySource: Joi.object()
      .pattern(
        /^[1-9]\d{0,9}$/,
        Joi.object({
          clicks: Joi.number().min(1).max(1e6).allow(null).required(),
          clicksMultiple: Joi.number().greater(0).max(1000).allow(null).required(),
          spend: money.min(0).allow(null).required(),
        }),
      )
      .max(5000),
  }),
  money: moneyChoices,
  guides: Joi.object({
    ctrLow: guideShare,
    ctrHigh: guideShare,
    dailyLow: guideCount,
    dailyHigh: guideCount,
  }),
}).or('bids', 'terms', 'money', 'guides');
