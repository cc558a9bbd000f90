// Joi schemas of plans of a product's campaigns.
import Joi from 'joi';
import { PART_NAMES } from '../core/build';
import type { BuildPlan, ProductRule } from '../core/build';
import { FLEXES, MAX_MODIFIER, PACINGS, SIMILAR } from '../core/changes';
import type { CampaignFields } from '../core/changes';
import { KEYWORD_MATCHES } from '../core/matching';
import { TERM_SOURCES } from './build';
import type { NewPlanRequest, PlanRequest, TermSource } from './build';
import type { OfAccount } from './requests';
import { bid, day, id, listing, money, refinement } from './schemas';

const word = Joi.string().allow('').max(100);
const modifier = Joi.number().min(0).max(MAX_MODIFIER);

/** Plans of before it could be chosen do not say it. */
const similar = Joi.valid(...SIMILAR);
const settings: Record<Exclude<keyof CampaignFields, 'similar'>, Joi.Schema> = {
  budgetKind: Joi.valid('daily', 'lifetime'),
  pacing: Joi.valid(...PACINGS),
  flex: Joi.valid(...FLEXES),
  startsOn: day.allow(null),
  endsOn: day.allow(null),
  top: modifier,
  rest: modifier,
  pages: modifier,
  state: Joi.valid('enabled', 'paused'),
};
const needed = (schemas: Record<string, Joi.Schema>) =>
  Joi.object(
    Object.fromEntries(Object.entries(schemas).map(([name, one]) => [name, one.required()])),
  ).required();
const byKey = (one: Joi.Schema) => Joi.object().pattern(Joi.string().max(100), one).max(1000).default({});
const least = money.min(0).allow(null).default(null);
const share = Joi.number().min(-10).max(1).allow(null).default(null);

const productRule = Joi.object<ProductRule>({
  lineId: id.allow(null).default(null),
  minPrice: least,
  maxPrice: least,
  minMargin: share,
  maxMargin: share,
  minStock: Joi.number().integer().min(0).allow(null).default(null),
  minDiscount: share,
  maxDiscount: share,
});

export const buildPlan = Joi.object<BuildPlan>({
  productId: id.required(),
  more: Joi.array().items(id).max(200).unique().default([]),
  rule: productRule.allow(null).default(null),
  pattern: Joi.string().trim().min(1).max(200).required(),
  code: word.required(),
  purpose: word.default(''),
  source: word.default(''),
  parts: needed(
    Object.fromEntries(
      PART_NAMES.map((name) => [
        name,
        Joi.object({
          isOn: Joi.boolean().required(),
          isEmpty: Joi.boolean().default(false),
          bid: bid.required(),
        }),
      ]),
    ),
  ),
  groups: Joi.array()
    .items(
      Joi.object({
        name: Joi.string().max(100).required(),
        isOn: Joi.boolean().required(),
        bid: bid.allow(null).default(null),
      }),
    )
    .max(20)
    .default([]),
  groupsApart: Joi.boolean().default(false),
  terms: Joi.array()
    .items(
      Joi.object({
        text: Joi.string().trim().min(1).max(500).required(),
        matches: Joi.array()
          .items(Joi.valid(...KEYWORD_MATCHES))
          .unique()
          .required(),
        bids: Joi.object(Object.fromEntries(KEYWORD_MATCHES.map((match) => [match, bid]))).default({}),
        home: Joi.string().max(100),
      }),
    )
    .max(5000)
    .default([]),
  items: Joi.array()
    .items(
      Joi.object({
        code: Joi.string().trim().min(1).max(100).required(),
        isOwn: Joi.boolean().default(false),
        bid: bid.allow(null).default(null),
      }),
    )
    .max(5000)
    .default([]),
  refined: Joi.array()
    .items(
      Joi.object({
        aim: Joi.valid('category', 'brand').required(),
        name: Joi.string().trim().allow('').max(200).required(),
        refine: refinement.allow(null).default(null),
        against: listing.allow(null).default(null),
        bid: bid.allow(null).default(null),
      }),
    )
    .max(200)
    .default([]),
  mostKeywords: Joi.number().integer().min(1).max(1000).allow(null).default(null),
  total: money.min(0).required(),
  budgets: byKey(money.min(0)),
  names: byKey(Joi.string().trim().allow('').max(200)),
  settings: needed(settings).keys({ similar: similar.default('on') }),
  own: byKey(Joi.object({ ...settings, similar })),
  adGroupShare: Joi.number().greater(0).max(1).allow(null).default(null),
  uncrossed: Joi.array().items(Joi.string().max(50)).max(100).default([]),
});

export const planRequest = Joi.object<PlanRequest>({
  account: id.required(),
  id,
  plan: buildPlan.required(),
});
export const newPlanRequest = Joi.object<NewPlanRequest>({
  account: id.required(),
  productId: id.required(),
  like: id,
});
export const planOfAccount = Joi.object<OfAccount & { id: number }>({
  account: id.required(),
  id: id.required(),
});
export const throwRequest = planOfAccount.append<OfAccount & { id: number; back: boolean }>({
  back: Joi.boolean().default(false),
});
export const sourceQuery = Joi.object<OfAccount & { product: number; from: TermSource }>({
  account: id.required(),
  product: id.required(),
  from: Joi.valid(...TERM_SOURCES).required(),
});
export const planFileQuery = planOfAccount.append<
  OfAccount & { id: number; format: 'csv' | 'xlsx' | 'json' }
>({
  format: Joi.valid('csv', 'xlsx', 'json').required(),
});
