// Joi schemas of what comes in at the endpoints. On the server only: browsers take the types of ./api.
import Joi from 'joi';
import type { ProductCosts } from '../core/economics';
import type { Goal } from '../core/goals';
import type { Listing, Refinement } from '../core/structure';
import { readWeek } from '../core/schedules';
import { isDay } from '../core/units';
import { daysOfWords, SETTLED } from '../core/windows';
import type { NewAccount } from './api';
import { REPORT_KINDS, TABLE_KINDS } from './reportFields';
import type {
  AccountChange,
  DataExportQuery,
  ImportQuery,
  OfAccount,
  SummedQuery,
  SumsQuery,
  TableToWrite,
  WindowQuery,
} from './requests';
import { isTimeZone } from './timeZone';

export const id = Joi.number().integer().min(1).max(2_147_483_647);
/** A text that a rule takes; else its field is told what to write. */
export const text = (isGood: (value: string) => boolean, what: string) =>
  Joi.string()
    .custom((value: string, helpers) => (isGood(value) ? value : helpers.error('any.invalid')))
    .messages({ 'any.invalid': `{{#label}} ${what}` });

/** A typed 2206 would have every list of days run over two centuries. */
const isNear = (value: string) => isDay(value) && value >= '2000-01-01' && value <= '2099-12-31';

export const day = text(isNear, 'is not a day from 2000 to 2099; write it as 2026-11-05');
/** The ends of a window: days, or words that are worked out when it is looked at. */
export const windowFrom = text(
  (value) => isNear(value) || daysOfWords(value) !== null,
  'is not a day; write it as 2026-11-05, or as last60 for the last 60 settled days',
);
export const windowTo = text(
  (value) => isNear(value) || value === SETTLED,
  'is not a day; write it as 2026-11-05, or as settled for the last settled one',
);
export const money = Joi.number().integer().min(-9e15).max(9e15);
export const expression = Joi.string().trim().min(1).max(500);
export const week = text(
  (value) => readWeek(value) !== null,
  'is no week of 168 percentages from −100 to 900, such as “0*120 -20*48”',
);
export const bid = Joi.number().integer().min(0).max(1e12);

const rating = Joi.number().min(0).max(5);
const price = Joi.number().integer().min(0).max(1e15);
export const refinement = Joi.object<Refinement>({
  minPrice: price,
  maxPrice: price,
  minRating: rating,
  maxRating: rating,
});
export const listing = Joi.object<Listing>({
  price: price.required(),
  rating: rating.allow(null).required(),
});

/** A time zone as the tz database names it: Europe/Berlin. */
const timeZone = Joi.string()
  .custom((value: string, helpers) => (isTimeZone(value) ? value : helpers.error('any.invalid')))
  .messages({ 'any.invalid': '{{#label}} is no time zone; write it as Europe/Berlin' });

export const accountQuery = Joi.object<OfAccount>({ account: id.required() });

export const newAccount = Joi.object<NewAccount>({
  name: Joi.string().trim().min(1).max(80).required(),
  currency: Joi.string()
    .trim()
    .uppercase()
    .pattern(/^[A-Z]{3}$/, 'three letters')
    .required(),
  targetAcos: Joi.number().greater(0).max(10).required(),
  timezone: timeZone,
});

export const accountChange = Joi.object<AccountChange>({
  name: Joi.string().trim().min(1).max(80),
  targetAcos: Joi.number().greater(0).max(10),
  timezone: timeZone,
}).min(1);

export const importQuery = Joi.object<ImportQuery>({
  account: id.required(),
  kind: Joi.string()
    .valid(...REPORT_KINDS, ...TABLE_KINDS)
    .required(),
  name: Joi.string().max(200).truncate().allow(''),
  headingLine: Joi.number().integer().min(1).max(30),
  decimals: Joi.valid('point', 'comma'),
  dayOrder: Joi.valid('day-first', 'month-first'),
  from: day,
  to: day,
})
  .and('from', 'to')
  .custom((query: ImportQuery, helpers) =>
    (query.from ?? '') > (query.to ?? '') ? helpers.error('any.invalid') : query,
  )
  .messages({ 'any.invalid': 'The period ends (to) before it begins (from)' });

export const summedQuery = Joi.object<SummedQuery>({
  account: id.required(),
  kind: Joi.string()
    .valid(...REPORT_KINDS)
    .required(),
  from: day.required(),
});

export const idPath = Joi.object<{ id: number }>({ id: Joi.number().integer().min(1).max(9e15).required() });

export const headingChoice = Joi.object<{ matched: Record<string, string> }>({
  matched: Joi.object().pattern(Joi.string().max(500), Joi.string().max(40).allow('')).max(500).required(),
});

export const sumsQuery = Joi.object<SumsQuery>({
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

export const windowQuery = Joi.object<WindowQuery>({
  account: id.required(),
  from: windowFrom,
  to: windowTo,
}).and('from', 'to');

export const termDaysQuery = Joi.object<
  OfAccount & { adGroup: number; term: number; from: string; to: string }
>({
  account: id.required(),
  adGroup: id.required(),
  term: id.required(),
  from: day.required(),
  to: day.required(),
});

export const subject = Joi.string().pattern(/^[a-z-]+( \d+){1,2}$/, 'a row such as “target 12”');
export const notesQuery = Joi.object<OfAccount & { subject: string }>({
  account: id.required(),
  subject: subject.required(),
});
export const noteRequest = Joi.object<OfAccount & { subject: string; text: string }>({
  account: id.required(),
  subject: subject.required(),
  text: Joi.string().trim().min(1).max(2000).required(),
});
export const removalQuery = Joi.object<OfAccount & { id: number }>({
  account: id.required(),
  id: id.required(),
});

export const tableFile = Joi.object<TableToWrite>({
  name: Joi.string().trim().min(1).max(100).required(),
  headings: Joi.array().items(Joi.string().max(200)).min(1).max(200).required(),
  rows: Joi.array().items(Joi.array()).max(200_000).required(),
});

const share = Joi.number().greater(-1).max(10);

/** Of a table that leaves as a file. */
export const tableFormat = Joi.object<{ format: 'csv' | 'xlsx' }>({
  format: Joi.string().valid('csv', 'xlsx').default('csv'),
});

export const costsRequest = Joi.object<OfAccount & { costs: ProductCosts }>({
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
const goalFields = {
  ...goalPlace,
  kind: Joi.valid('acos', 'margin').required(),
  low: share.required(),
  high: share.min(Joi.ref('low')).required(),
};
export const goal = Joi.object<Goal>(goalFields);
export const goalRequest = Joi.object<OfAccount & Goal>({ account: id.required(), ...goalFields });
export const goalRemoval = Joi.object<OfAccount & Pick<Goal, 'scope' | 'scopeId'>>({
  account: id.required(),
  ...goalPlace,
});

export const dataExportQuery = Joi.object<DataExportQuery>({
  account: id.required(),
  kind: Joi.string()
    .valid(...REPORT_KINDS, ...TABLE_KINDS)
    .required(),
  format: Joi.string().valid('csv', 'xlsx').default('csv'),
  from: day,
  to: day,
}).and('from', 'to');

export const advanceRequest = Joi.object<OfAccount & { days: number }>({
  account: id.required(),
  days: Joi.number().integer().min(1).max(60).required(),
});
