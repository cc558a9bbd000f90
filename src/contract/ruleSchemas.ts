// Joi schemas of what is asked about rules.
import Joi from 'joi';
import { GOAL_SCOPES } from '../core/goals';
import { MAX_MODIFIER } from '../core/changes';
import { LENS_NAMES } from '../core/lenses';
import { KEYWORD_MATCHES } from '../core/matching';
import { PLACEMENT_ORDERS } from '../core/placements';
import type { PlacementAsks } from '../core/placements';
import { RULE_WORKS } from '../core/rules';
import type { NewTermsRule, Rule, RuleGuards, RuleSwath } from '../core/rules';
import { growthPlan } from './growthSchemas';
import type { OfAccount } from './requests';
import type { GuardsRequest, HookRequest, PlayRequest, RuleRequest, TryRequest } from './rules';
import { day, id, money, windowFrom, windowTo } from './schemas';

const acos = Joi.number().greater(0).max(10).required();
const count = Joi.number().integer().min(0).max(1_000_000).required();
const bound = Joi.number().greater(0).max(100).required();
const most = Joi.object({ changes: count.min(1), spend: money.min(0).required() }).required();

const conditions = Joi.array().items(Joi.string().max(300)).max(20);
const share = Joi.number().min(0).max(1);

const rule = Joi.object<Rule>({
  name: Joi.string().trim().min(1).max(100).required(),
  work: Joi.valid(...RULE_WORKS).required(),
  scope: Joi.object({
    kind: Joi.valid(...GOAL_SCOPES, 'swath').required(),
    id: Joi.number().integer().min(0).required(),
  }).required(),
  target: Joi.object({ low: acos, high: acos.min(Joi.ref('low')) })
    .allow(null)
    .required(),
  least: Joi.object({ clicks: count, impressions: count, orders: count }).required(),
  lookBack: Joi.number().integer().min(7).max(365).allow(null).required(),
  waitDays: Joi.number().integer().min(0).max(60).required(),
  step: Joi.object({
    down: Joi.number().greater(0).max(0.95).required(),
    up: Joi.number().greater(0).max(5).required(),
  }).required(),
  bid: Joi.object({
    low: money.min(1).allow(null).required(),
    high: money.min(1).allow(null).required(),
  }).required(),
  tests: Joi.boolean().required(),
  hand: Joi.object({
    conditions: conditions.required(),
    percent: Joi.number().min(-0.95).max(5).invalid(0).allow(null).required(),
  }).required(),
  swath: Joi.object<RuleSwath>({
    name: Joi.string().trim().min(1).max(100).required(),
    lens: Joi.valid(...LENS_NAMES).required(),
    conditions: Joi.array().items(Joi.string().max(1000)).max(50).required(),
    from: windowFrom.allow(null).default(null),
    to: windowTo.allow(null).default(null),
  })
    .allow(null)
    .default(null),
  placements: Joi.object<PlacementAsks>({
    days: Joi.number().integer().min(7).max(365).required(),
    least: Joi.object({
      spend: money.min(0).allow(null).required(),
      conversion: share.allow(null).required(),
      ctr: share.allow(null).required(),
    }).required(),
    most: Joi.object({
      cpc: money.min(1).allow(null).required(),
      acos: Joi.number().greater(0).max(100).allow(null).required(),
    }).required(),
    cap: Joi.number().min(0).max(MAX_MODIFIER).allow(null).required(),
    bid: money.min(1).allow(null).required(),
    first: Joi.valid(...PLACEMENT_ORDERS).required(),
  })
    .allow(null)
    .default(null),
  newTerms: Joi.object<NewTermsRule>({
    market: Joi.boolean().required(),
    campaigns: Joi.boolean().required(),
    match: Joi.valid(...KEYWORD_MATCHES).required(),
    most: Joi.number().integer().min(1).max(100).required(),
  })
    .allow(null)
    .default(null),
  growth: growthPlan.allow(null).default(null),
  rhythm: Joi.alternatives(
    Joi.object({ kind: Joi.valid('nightly').required() }),
    Joi.object({
      kind: Joi.valid('weekdays').required(),
      days: Joi.array().items(Joi.number().integer().min(1).max(7)).min(1).unique().required(),
    }),
    Joi.object({
      kind: Joi.valid('every').required(),
      days: Joi.number().integer().min(1).max(60).required(),
    }),
  ).required(),
  until: day.allow(null).required(),
  sends: Joi.boolean().required(),
  most,
});

const guards = Joi.object<RuleGuards>({
  isStopped: Joi.boolean().required(),
  most,
  spendBound: bound,
  acosBound: bound,
  refusedBound: Joi.number().min(0).max(1).required(),
});

export const ruleRequest = Joi.object<RuleRequest>({
  account: id.required(),
  id,
  rule: rule.required(),
  isOn: Joi.boolean(),
});
export const ruleOfAccount = Joi.object<OfAccount & { id: number; back: boolean }>({
  account: id.required(),
  id: id.required(),
  back: Joi.boolean().default(false),
});
export const rulesOrder = Joi.object<OfAccount & { ids: number[] }>({
  account: id.required(),
  ids: Joi.array().items(id).max(1000).unique().required(),
});
export const guardsRequest = Joi.object<GuardsRequest>({ account: id.required(), guards: guards.required() });
export const tryRequest = Joi.object<TryRequest>({
  account: id.required(),
  id,
  rule: rule.required(),
  nights: Joi.number().integer().min(1).max(14).default(7),
  back: Joi.number().integer().min(0).max(60).default(0),
});
export const ruleQuery = Joi.object<OfAccount & { id: number }>({
  account: id.required(),
  id: id.required(),
});
export const playRequest = Joi.object<PlayRequest>({
  account: id.required(),
  id: id.required(),
  weeks: Joi.number().integer().min(1).max(26).default(8),
  markets: Joi.number().integer().min(1).max(12).default(4),
});
export const hookRequest = Joi.object<HookRequest>({
  account: id.required(),
  url: Joi.string()
    .uri({ scheme: ['http', 'https'] })
    .max(500)
    .allow(null)
    .required(),
  secret: Joi.string().min(8).max(200),
});
export const nightUndoRequest = Joi.object<OfAccount & { night: number }>({
  account: id.required(),
  night: id.required(),
});
