// Joi schemas of questions about words.
import Joi from 'joi';
import { LONGEST_PART } from '../core/words';
import { KEYWORD_MATCHES } from '../core/matching';
import { expression, id } from './schemas';
import { PART_SORTS } from './wordQuestions';
import type { WordsRequest } from './wordQuestions';

const account = id.required();
const productId = id.allow(null).required();
const words = Joi.string().allow('').max(500).required();

export const partsRequest = Joi.object<WordsRequest<'parts'>>({
  account,
  productId,
  length: Joi.number().integer().min(1).max(LONGEST_PART).allow(null).required(),
  text: words,
  sort: Joi.valid(...PART_SORTS).required(),
  minClicks: Joi.number().min(0).max(1e9).required(),
  targetAcos: Joi.number().greater(0).max(10).required(),
});
export const partRequest = Joi.object<WordsRequest<'part'>>({
  account,
  productId,
  text: expression.required(),
});
export const previewRequest = Joi.object<WordsRequest<'preview'>>({
  account,
  expression: words,
  match: Joi.valid(...KEYWORD_MATCHES).required(),
});
export const blocksRequest = Joi.object<WordsRequest<'blocks'>>({
  account,
  negatives: Joi.array()
    .items(
      Joi.object({
        match: Joi.valid('exact', 'phrase', 'item').required(),
        expression: expression.required(),
        campaignId: id.required(),
        adGroupId: id.allow(null).required(),
      }),
    )
    .max(100_000)
    .required(),
});
export const coreRequest = Joi.object<WordsRequest<'core'>>({
  account,
  productId: id.required(),
  pinned: Joi.array().items(expression).max(5000).required(),
});
