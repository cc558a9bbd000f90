// Joi schemas of the requests about changes.
import Joi from 'joi';
import { KINDS, MAX_MODIFIER, partsText, readParts } from '../core/changes';
import type { ChangeState, FieldShape } from '../core/changes';
import { formatCount } from '../core/units';
import { MOST_CHANGES, SETTLINGS } from './changes';
import type {
  CarriedOutRequest,
  ChangeFileFormat,
  NewChange,
  Settling,
  StagedValue,
  UndoRequest,
} from './changes';
import type { OfAccount } from './requests';
import { bid, day, expression, id, listing, money, refinement, week } from './schemas';

/** Titles and pictures of an ad as one text. Whether the market takes them is looked at when they are staged. */
const adParts = Joi.string()
  .max(5000)
  .allow(null)
  .custom((text: string, helpers) => {
    try {
      return partsText(readParts(text));
    } catch {
      return helpers.message({
        custom: '{{#label}} is to be {"titles": [], "pictures": []} as a text, or null',
      });
    }
  });

const FIELDS: Record<Exclude<FieldShape, object>, Joi.Schema> = {
  id: id.required(),
  'id or null': id.allow(null).required(),
  name: Joi.string().trim().min(1).max(200).required(),
  expression: expression.required(),
  bid: bid.required(),
  'bid or null': bid.allow(null).required(),
  budget: money.min(0).required(),
  'budget or null': money.allow(null).required(),
  modifier: Joi.number().min(0).max(MAX_MODIFIER).required(),
  week: week.required(),
  'day or null': day.allow(null).required(),
  refinement: refinement.allow(null).required(),
  listing: listing.allow(null).required(),
  'ad parts': adParts.required(),
};

const schemaOf = (shape: FieldShape): Joi.Schema =>
  typeof shape === 'object' ? Joi.valid(...shape.oneOf).required() : FIELDS[shape];

/** The changes that a caller may stage, as their kinds say. */
const kinds = Object.values(KINDS).filter(({ byRequest }) => byRequest);
const kindOf = Joi.valid(...kinds.map(({ kind }) => kind)).required();
const change = Joi.alternatives().conditional('.kind', {
  switch: kinds.map(({ kind, shape }) => ({
    is: kind,
    then: Joi.object({
      kind: Joi.valid(kind).required(),
      ...Object.fromEntries(Object.entries(shape).map(([field, one]) => [field, schemaOf(one)])),
    }),
  })),
  otherwise: Joi.object({ kind: kindOf }).unknown(true),
});

export const stageRequest = Joi.object<OfAccount & { changes: NewChange[] }>({
  account: id.required(),
  changes: Joi.array()
    .items(
      Joi.object({
        change: change.required(),
        reason: Joi.string().max(1000).required(),
        figures: Joi.object().unknown(true).default({}),
        carries: Joi.object({ listId: id }).default({}),
        effect: Joi.object({ spend: money.required(), sales: money.required() }).default({
          spend: 0,
          sales: 0,
        }),
        after: Joi.number().integer().min(0),
      }),
    )
    .min(1)
    .max(MOST_CHANGES)
    .required()
    .messages({
      'array.max': `At most ${formatCount(MOST_CHANGES)} changes are taken at once: accept fewer rows, by a condition or a part of the account`,
    }),
});

export const changesQuery = Joi.object<OfAccount & { state?: ChangeState; bale?: number }>({
  account: id.required(),
  state: Joi.string().valid('staged', 'sending', 'accepted', 'refused', 'withdrawn'),
  bale: id,
});

export const effectsQuery = Joi.object<OfAccount & { bale?: number }>({ account: id.required(), bale: id });

export const changeIds = Joi.object<OfAccount & { ids: number[] }>({
  account: id.required(),
  ids: Joi.array().items(id).min(1).max(MOST_CHANGES).required(),
});

export const carriedOutRequest = changeIds.append<CarriedOutRequest>({
  day: day.required(),
  borneOut: Joi.string().valid('all', 'by-import').required(),
});

export const settleRequest = Joi.object<OfAccount & { as: Settling }>({
  account: id.required(),
  as: Joi.string()
    .valid(...SETTLINGS)
    .required(),
});

export const undoRequest = changeIds.append<UndoRequest>({
  changed: Joi.string().valid('leave', 'set-back'),
});

export const stagedValues = Joi.object<OfAccount & { values: StagedValue[] }>({
  account: id.required(),
  values: Joi.array()
    .items(Joi.object({ id: id.required(), value: Joi.number().min(0).max(1e15).required() }))
    .min(1)
    .max(10_000)
    .required(),
});

export const exportQuery = Joi.object<OfAccount & { format: ChangeFileFormat; bale?: number }>({
  account: id.required(),
  format: Joi.string().valid('csv', 'xlsx', 'json').required(),
  bale: id,
});
