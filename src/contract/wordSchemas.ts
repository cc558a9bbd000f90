// Joi schemas of the requests about words and terms.
import Joi from 'joi';
import { NEGATIVE_REACHES } from '../core/negatives';
import { USUAL_START } from '../core/routes';
import type { HomeRequest, RoutesRequest } from './routes';
import { bid, expression, id } from './schemas';
import type { CoreTermRequest, NegativeListRequest, WordListsRequest } from './words';

export const coreTermRequest = Joi.object<CoreTermRequest>({
  account: id.required(),
  productId: id.required(),
  term: Joi.string().trim().min(1).max(200).required(),
});

const share = Joi.number().greater(0).max(10).allow(null).required();
const least = Joi.number().greater(0).max(1e15).allow(null).required();
const asks = Joi.object({
  orders: Joi.number().integer().min(1).max(10_000).required(),
  clicks: least,
  clicksMultiple: least,
  spend: least,
  days: least,
  acos: share,
  surety: Joi.number().greater(0).less(1).allow(null).required(),
});
const start = Joi.object({
  by: Joi.string().valid('worth', 'cpc', 'market', 'fixed').required(),
  amount: Joi.when('by', { is: 'fixed', then: bid.min(1).required(), otherwise: bid.allow(null).required() }),
  cap: Joi.number().greater(0).max(100).allow(null).required(),
});

export const routesRequest = Joi.object<RoutesRequest>({
  account: id.required(),
  routes: Joi.array()
    .items(
      Joi.object({
        sourceId: id.required(),
        takes: Joi.string().valid('words', 'items').required(),
        homeId: id.required(),
        match: Joi.string().valid('exact', 'phrase', 'broad').required(),
        block: Joi.string()
          .valid('nowhere', ...NEGATIVE_REACHES)
          .required(),
        asks: asks.allow(null).default(null),
        start: start.default(USUAL_START),
      }),
    )
    .max(20_000)
    .required(),
});

const words = Joi.array().items(Joi.string().trim().min(1).max(80)).max(2000).required();
export const wordListsRequest = Joi.object<WordListsRequest>({
  account: id.required(),
  lists: Joi.object({ own: words, rival: words, unwanted: words }).required(),
});

export const negativeListRequest = Joi.object<NegativeListRequest>({
  account: id.required(),
  list: Joi.object({
    id: id.allow(null).required(),
    name: Joi.string().trim().min(1).max(60).required(),
    terms: Joi.array()
      .items(
        Joi.object({
          match: Joi.string().valid('exact', 'phrase', 'item').required(),
          expression: expression.required(),
        }),
      )
      .max(5000)
      .required(),
    campaignIds: Joi.array().items(id).max(20_000).required(),
  }).required(),
});

const placeName = Joi.string().trim().min(1).max(120).required();
export const homeRequest = Joi.object<HomeRequest>({
  account: id.required(),
  productId: id.required(),
  name: placeName,
  defaultBid: bid.min(1).required(),
  campaign: Joi.alternatives(
    Joi.object({ id: id.required() }),
    Joi.object({ name: placeName, budget: bid.min(1).required() }),
  ).required(),
});
