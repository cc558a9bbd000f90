// Joi schemas of what is asked about organic ranks.
import Joi from 'joi';
import type { OfAccount } from './requests';
import { RANK_SPANS, USUAL_RANK_SPAN } from './rank';
import type { RankSpan } from './rank';
import { day, id } from './schemas';

export const rankQuery = Joi.object<OfAccount & { span: RankSpan }>({
  account: id.required(),
  span: Joi.number()
    .valid(...RANK_SPANS)
    .default(USUAL_RANK_SPAN),
});

export const rankLinesQuery = Joi.object<OfAccount & { product: number; term?: number }>({
  account: id.required(),
  product: id.required(),
  term: id,
});

/** Either the last days, or the days between. */
export const rankDaysQuery = Joi.object<
  OfAccount & { product: number; term: number; days?: number; from?: string; to?: string }
>({
  account: id.required(),
  product: id.required(),
  term: id.required(),
  days: Joi.number().integer().min(7).max(400),
  from: day,
  to: day,
})
  .and('from', 'to')
  .xor('days', 'from');
