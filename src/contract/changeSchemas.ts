// Joi schemas of the requests about changes.
import Joi from 'joi';
import { bid, expression, id, money } from './schemas';

const change = Joi.alternatives(
  Joi.object({
    kind: Joi.valid('add-keyword').required(),
    adGroupId: id.required(),
    expression: expression.required(),
    match: Joi.valid('exact', 'phrase', 'broad').required(),
    bid: bid.required(),
  }),
  Joi.object({
    kind: Joi.valid('add-item-target').required(),
    adGroupId: id.required(),
    expression: expression.required(),
    bid: bid.required(),
  }),
  Joi.object({
    kind: Joi.valid('add-negative').required(),
    campaignId: id.required(),
    adGroupId: id.allow(null).required(),
    match: Joi.valid('exact', 'phrase', 'item').required(),
    expression: expression.required(),
  }),
  Joi.object({
    kind: Joi.valid('set-bid').required(),
    targetId: id.required(),
    from: bid.allow(null).required(),
    to: bid.required(),
  }),
  Joi.object({
    kind: Joi.valid('set-budget').required(),
    campaignId: id.required(),
    from: money.allow(null).required(),
    to: money.min(0).required(),
  }),
  Joi.object({
    kind: Joi.valid('set-modifier').required(),
    campaignId: id.required(),
    placement: Joi.valid('top', 'rest', 'pages').required(),
    from: Joi.number().min(0).max(9).required(),
    to: Joi.number().min(0).max(9).required(),
  }),
  Joi.object({
    kind: Joi.valid('set-state').required(),
    entity: Joi.valid('campaign', 'ad-group', 'target').required(),
    id: id.required(),
    from: Joi.valid('enabled', 'paused').required(),
    to: Joi.valid('enabled', 'paused').required(),
  }),
  Joi.object({ kind: Joi.valid('archive-negative').required(), negativeId: id.required() }),
);

export const stageRequest = Joi.object({
  account: id.required(),
  changes: Joi.array()
    .items(
      Joi.object({
        change: change.required(),
        reason: Joi.string().max(1000).required(),
        figures: Joi.object().unknown(true).default({}),
        effect: Joi.object({ spend: money.required(), sales: money.required() }).default({
          spend: 0,
          sales: 0,
        }),
        after: Joi.number().integer().min(0),
      }),
    )
    .min(1)
    .max(10_000)
    .required(),
});

export const changesQuery = Joi.object({
  account: id.required(),
  state: Joi.string().valid('staged', 'sending', 'accepted', 'refused', 'withdrawn'),
  bale: id,
});

export const effectsQuery = Joi.object({ account: id.required(), bale: id });

export const changeIds = Joi.object({
  account: id.required(),
  ids: Joi.array().items(id).min(1).max(10_000).required(),
});

export const undoRequest = changeIds.append({ changed: Joi.string().valid('leave', 'set-back') });

export const stagedValues = Joi.object({
  account: id.required(),
  values: Joi.array()
    .items(Joi.object({ id: id.required(), value: Joi.number().min(0).max(1e15).required() }))
    .min(1)
    .max(10_000)
    .required(),
});

export const exportQuery = Joi.object({
  account: id.required(),
  format: Joi.string().valid('csv', 'xlsx', 'json').required(),
  bale: id,
});
