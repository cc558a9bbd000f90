// Joi schemas of what comes in at the endpoints. On the server only: browsers take the types of ./api.
import Joi from 'joi';
import { LENS_NAMES } from '../core/lenses';
import { isDay } from '../core/units';
import { REPORT_KINDS, TABLE_KINDS } from './reportFields';

export const id = Joi.number().integer().min(1).max(2_147_483_647);
export const day = Joi.string()
  .custom((value: string, helpers) => (isDay(value) ? value : helpers.error('any.invalid')))
  .messages({ 'any.invalid': '{{#label}} is not a day; write it as 2026-11-05' });
export const money = Joi.number().integer().min(-9e15).max(9e15);
export const expression = Joi.string().trim().min(1).max(500);
export const bid = Joi.number().integer().min(0).max(1e12);

export const accountQuery = Joi.object({ account: id.required() });

export const newAccount = Joi.object({
  name: Joi.string().trim().min(1).max(80).required(),
  currency: Joi.string()
    .trim()
    .uppercase()
    .pattern(/^[A-Z]{3}$/, 'three letters')
    .required(),
  targetAcos: Joi.number().greater(0).max(10).default(0.25),
});

export const accountChange = Joi.object({
  name: Joi.string().trim().min(1).max(80),
  targetAcos: Joi.number().greater(0).max(10),
}).min(1);

export const importQuery = Joi.object({
  account: id.required(),
  kind: Joi.string()
    .valid(...REPORT_KINDS, ...TABLE_KINDS)
    .required(),
  name: Joi.string().max(200).truncate().allow(''),
});

export const importPath = Joi.object({ id: Joi.number().integer().min(1).max(9e15).required() });

export const headingChoice = Joi.object({
  matched: Joi.object().pattern(Joi.string().max(500), Joi.string().max(40).allow('')).max(500).required(),
});

export const sumsQuery = Joi.object({
  account: id.required(),
  grain: Joi.string()
    .valid('account', 'day', 'line', 'product', 'campaign', 'ad-group', 'target', 'term', 'placement', 'hour')
    .required(),
  from: day.required(),
  to: day.required(),
  scope: Joi.string().pattern(
    /^(line|product|campaign|ad-group):[1-9]\d{0,8}$/,
    'a scope such as campaign:12',
  ),
  compare: Joi.string().valid('before'),
  unsettled: Joi.string().valid('as-is', 'complete').default('as-is'),
});

export const reviewQuery = Joi.object({ account: id.required(), from: day, to: day }).and('from', 'to');

export const termDaysQuery = Joi.object({
  account: id.required(),
  adGroup: id.required(),
  term: id.required(),
  from: day.required(),
  to: day.required(),
});

export const fieldQuery = Joi.object({
  account: id.required(),
  grain: Joi.string().valid('target', 'term', 'placement').default('target'),
  from: day,
  to: day,
}).and('from', 'to');

const lens = Joi.string().valid(...LENS_NAMES, 'targets');

export const rowsRequest = Joi.object({
  account: id.required(),
  lens: lens.required(),
  ids: Joi.array().items(Joi.number().integer().min(0).max(2_147_483_647)).min(1).max(200_000).required(),
  parts: Joi.array().items(Joi.number().integer().min(0).max(2_147_483_647)).max(200_000).default([]),
  from: day.required(),
  to: day.required(),
});

export const suggestRequest = Joi.object({
  account: id.required(),
  ids: Joi.array().items(id).min(1).max(20_000),
  targets: Joi.array()
    .items(
      Joi.object({
        adGroupId: id.required(),
        kind: Joi.string().valid('keyword', 'item').required(),
        match: Joi.string().valid('exact', 'phrase', 'broad').allow(null).required(),
        expression: expression.required(),
      }),
    )
    .min(1)
    .max(20_000),
}).xor('ids', 'targets');

export const historyQuery = Joi.object({
  account: id.required(),
  from: day.required(),
  targetId: id,
  adGroupId: id,
  campaignId: id,
});

export const swathRequest = Joi.object({
  account: id.required(),
  name: Joi.string().trim().min(1).max(60).required(),
  lens: lens.required(),
  conditions: Joi.array().items(Joi.string().max(1000)).max(50).required(),
  sort: Joi.string().max(200).allow('').default(''),
});

export const subject = Joi.string().pattern(/^[a-z-]+( \d+){1,2}$/, 'a row such as “target 12”');
export const notesQuery = Joi.object({ account: id.required(), subject: subject.required() });
export const noteRequest = Joi.object({
  account: id.required(),
  subject: subject.required(),
  text: Joi.string().trim().min(1).max(2000).required(),
});
export const removalQuery = Joi.object({ account: id.required(), id: id.required() });

export const overviewQuery = Joi.object({ account: id.required(), from: day, to: day }).and('from', 'to');
export const monthGoalRequest = Joi.object({
  account: id.required(),
  month: Joi.string()
    .pattern(/^\d{4}-(0[1-9]|1[0-2])-01$/, 'the first day of a month')
    .required(),
  sales: money.min(1).allow(null).required(),
  spend: money.min(1).allow(null).required(),
});

export const tableFile = Joi.object({
  name: Joi.string().trim().min(1).max(100).required(),
  headings: Joi.array().items(Joi.string().max(200)).min(1).max(200).required(),
  rows: Joi.array().items(Joi.array()).max(200_000).required(),
});

const share = Joi.number().greater(-1).max(10);

export const costsRequest = Joi.object({
  account: id.required(),
  costs: Joi.object({
    price: money.min(1).allow(null).required(),
    goods: money.min(0).allow(null).required(),
    fees: money.min(0).allow(null).required(),
    shipping: money.min(0).allow(null).required(),
    refundRate: Joi.number().min(0).max(1).allow(null).required(),
    recovered: money.min(0).allow(null).required(),
  }).required(),
});

const goalPlace = {
  scope: Joi.valid('account', 'line', 'product', 'campaign', 'ad-group').required(),
  scopeId: Joi.number().integer().min(0).max(2_147_483_647).required(),
};
export const goalRequest = Joi.object({
  account: id.required(),
  ...goalPlace,
  kind: Joi.valid('acos', 'margin').required(),
  low: share.required(),
  high: share.min(Joi.ref('low')).required(),
});
export const goalRemoval = Joi.object({ account: id.required(), ...goalPlace });

export const dataExportQuery = Joi.object({
  account: id.required(),
  kind: Joi.string()
    .valid(...REPORT_KINDS, ...TABLE_KINDS)
    .required(),
  format: Joi.string().valid('csv', 'xlsx').default('csv'),
  from: day,
  to: day,
}).and('from', 'to');

export const advanceRequest = Joi.object({
  account: id.required(),
  days: Joi.number().integer().min(1).max(60).required(),
});
