// JSON schemas of what the market takes (Fastify checks them before a handler runs).
import { FAULTS } from './faults';

const text = { type: 'string', maxLength: 1000 } as const;
const day = { type: 'string', pattern: '^\\d{4}-\\d{2}-\\d{2}$' } as const;
const entity = {
  type: 'string',
  enum: ['campaigns', 'ad-groups', 'ads', 'targets', 'negatives', 'schedules'],
} as const;

const change = (name: string, properties: Record<string, unknown>) => ({
  type: 'object',
  properties: { ref: text, do: { type: 'string', const: name }, entity, ...properties },
  required: ['ref', 'do', 'entity', ...Object.keys(properties)],
  additionalProperties: false,
});

/** A batch of at most 5,000 changes. */
export const batchSchema = {
  type: 'object',
  required: ['changes'],
  properties: {
    changes: {
      type: 'array',
      maxItems: 5000,
      items: {
        oneOf: [
          change('create', { fields: { type: 'object' } }),
          change('update', { id: text, fields: { type: 'object' } }),
          change('archive', { id: text }),
        ],
      },
    },
  },
} as const;

export const reportSchema = {
  type: 'object',
  required: ['kind', 'from', 'to'],
  properties: {
    kind: {
      type: 'string',
      enum: ['terms', 'targets', 'placements', 'target-placements', 'hours', 'sales', 'ranks'],
    },
    from: day,
    to: day,
    format: { type: 'string', enum: ['csv', 'jsonl'], default: 'csv' },
    madeOn: day,
  },
  additionalProperties: false,
} as const;

export const advanceSchema = {
  type: 'object',
  required: ['days'],
  properties: { days: { type: 'integer', minimum: 1, maximum: 60 } },
} as const;

export const fundsSchema = {
  type: 'object',
  required: ['amount'],
  properties: { amount: { type: 'integer', minimum: 10_000, maximum: 1_000_000_000_000 } },
} as const;

export const faultsSchema = {
  type: 'object',
  required: ['faults'],
  properties: { faults: { type: 'array', maxItems: 50, items: { type: 'string', enum: [...FAULTS] } } },
} as const;

export const shopSchema = {
  type: 'object',
  additionalProperties: false,
  properties: {
    price: { type: 'integer', minimum: 10_000, maximum: 100_000_000_000 },
    rating: { type: 'number', minimum: 1, maximum: 5 },
    stock: { type: 'integer', minimum: 0, maximum: 1_000_000 },
  },
} as const;

/** A picture's bytes in base64. */
export const pictureSchema = {
  type: 'object',
  required: ['bytes'],
  properties: { bytes: { type: 'string', maxLength: 8_000_000 } },
  additionalProperties: false,
} as const;

export const suggestSchema = {
  type: 'object',
  required: ['targets'],
  properties: {
    targets: {
      type: 'array',
      maxItems: 500,
      items: {
        type: 'object',
        required: ['kind', 'expression'],
        properties: {
          adGroupId: text,
          productId: text,
          kind: { type: 'string', enum: ['keyword', 'item', 'category', 'brand', 'auto'] },
          match: { type: ['string', 'null'], enum: ['exact', 'phrase', 'broad', null] },
          expression: text,
        },
      },
    },
  },
} as const;
