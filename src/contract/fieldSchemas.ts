// Joi schemas of what the field asks for: trees, sums, rows and their days, swaths.
import Joi from 'joi';
import { LENS_NAMES, PERIOD_STEPS } from '../core/lenses';
import { readSpan } from '../core/windows';
import type { PeriodsRequest, RowsRequest, Swath } from './field';
import type {
  FieldQuery,
  HistoryQuery,
  OfAccount,
  OverviewQuery,
  SuggestRequest,
  TreeQuery,
} from './requests';
import { day, expression, id, text, windowFrom, windowTo } from './schemas';

export const treeQuery = Joi.object<TreeQuery>({
  account: id.required(),
  targets: Joi.string().valid('all', 'forms', 'none').default('all'),
});

/** A window of an account; without days the usual one. */
const versus = text(
  (value) => readSpan(value) !== null,
  'is no span of days; write it as 2026-09-01..2026-09-30',
);

export const overviewQuery = Joi.object<OverviewQuery>({
  account: id.required(),
  from: windowFrom,
  to: windowTo,
  versus,
}).and('from', 'to');

export const fieldQuery = Joi.object<FieldQuery>({
  account: id.required(),
  grain: Joi.string().valid('target', 'ad-group', 'term', 'placement').default('target'),
  from: windowFrom,
  to: windowTo,
  versus,
}).and('from', 'to');

const lens = Joi.string().valid(...LENS_NAMES);

export const rowsRequest = Joi.object<RowsRequest>({
  account: id.required(),
  lens: lens.required(),
  ids: Joi.array().items(Joi.number().integer().min(0).max(2_147_483_647)).min(1).max(200_000).required(),
  parts: Joi.array().items(Joi.number().integer().min(0).max(2_147_483_647)).max(200_000).default([]),
  from: day.required(),
  to: day.required(),
});

export const periodsRequest = rowsRequest.append<PeriodsRequest>({
  steps: Joi.array()
    .items(Joi.string().valid(...PERIOD_STEPS))
    .min(1)
    .unique()
    .required(),
});

export const suggestRequest = Joi.object<SuggestRequest>({
  account: id.required(),
  ids: Joi.array().items(id).min(1).max(20_000),
  targets: Joi.array()
    .items(
      Joi.object({
        adGroupId: id,
        productId: id,
        kind: Joi.string().valid('keyword', 'item', 'auto', 'category', 'brand').required(),
        match: Joi.string().valid('exact', 'phrase', 'broad').allow(null).required(),
        expression: expression.required(),
      }).xor('adGroupId', 'productId'),
    )
    .min(1)
    .max(20_000),
}).xor('ids', 'targets');

export const historyQuery = Joi.object<HistoryQuery>({
  account: id.required(),
  from: day.required(),
  targetId: id,
  adGroupId: id,
  campaignId: id,
});

export const swathRequest = Joi.object<OfAccount & Omit<Swath, 'id'>>({
  account: id.required(),
  name: Joi.string().trim().min(1).max(60).required(),
  lens: lens.required(),
  conditions: Joi.array().items(Joi.string().max(1000)).max(50).required(),
  sort: Joi.string().max(200).allow('').default(''),
  from: windowFrom.allow(null).default(null),
  to: windowTo.allow(null).default(null),
});
