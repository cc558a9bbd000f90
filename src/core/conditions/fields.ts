import { SEEN, TERM_KINDS } from '../matching';
import { BUSINESS_MEASURES, MEASURES, measure } from '../measures';
import type { MeasureKey, MeasureUnit } from '../measures';
import { MICROS_PER_UNIT } from '../units';

/** What a number field is about, beyond the measures themselves. */
export type ExtraKey =
  | 'bid'
  | 'targetAcos'
  | 'vsTarget'
  | 'loss'
  | 'breakEvenLoss'
  | 'profit'
  | 'age'
  | 'totalSales'
  | 'organicSales'
  | 'tacos';
/** A number of a row: a measure, the move of a measure against the window before ("d.spend"), or something known of the row. */
/** What only a plan of bids knows of a row. */
export type PlanKey =
  'plan.dry' | 'plan.to' | 'plan.step' | 'plan.wanted' | 'plan.chance' | 'plan.profit' | 'plan.learnt';
/** What only the list of organic ranks knows of a row. */
export type RankKey =
  | 'rank.now'
  | 'rank.before'
  | 'rank.up'
  | 'rank.change'
  | 'rank.searches'
  | 'rank.spendChange'
  | 'rank.organic'
  | 'rank.adShare'
  | 'rank.holdCost'
  | 'rank.holds'
  | 'rank.holdPays'
  | 'rank.gainCost'
  | 'rank.gains'
  | 'rank.gainPays';
export type NumberKey = MeasureKey | `d.${MeasureKey}` | ExtraKey | PlanKey | RankKey;
/** A text of a row; `term` is the name of a row that is a search term. */
export type TextKey = 'term' | 'name' | 'place' | 'product' | 'line';
/** Something a row is one of. */
export type ChoiceKey =
  | 'kind'
  | 'state'
  | 'standing'
  | 'evidence'
  | 'termKind'
  | 'seen'
  | 'judged'
  | 'running'
  | 'campaignState'
  | 'chosen'
  | 'flex'
  | 'aim'
  | 'coreTerm'
  | 'lossAccepted';

/** A number field as data. */
export interface NumberField {
  key: NumberKey;
  label: string;
  unit: MeasureUnit;
  decimals: number;
  definition: string;
}

const EXTRA: readonly NumberField[] = [
  extra(
    'bid',
    'Bid',
    'money',
    2,
    'What is bid for a click, or the ad group’s default bid where a target has none.',
  ),
  extra('targetAcos', 'Target ACOS', 'share', 1, 'The target that counts for the row: the nearest one set.'),
  extra('vsTarget', 'ACOS ÷ target', 'factor', 2, 'ACOS as a multiple of the row’s target ACOS.'),
  extra('loss', 'Loss vs target ACOS', 'money', 2, 'Spend − target ACOS × sales; below zero it is a gain.'),
  extra(
    'breakEvenLoss',
    'Loss vs break-even',
    'money',
    2,
    'Spend − margin × sales; below zero it is profit.',
  ),
  extra(
    'profit',
    'Profit',
    'money',
    2,
    'Margin × sales − spend: what ads leave; a dash where costs are not known.',
  ),
  ...BUSINESS_MEASURES.filter(({ key }) => key !== 'profit').map(
    ({ key, label, unit, decimals, definition }) => extra(key as ExtraKey, label, unit, decimals, definition),
  ),
  extra(
    'age',
    'Days since change',
    'count',
    0,
    'Days since its bid, state, budget or modifier was last changed from here.',
  ),
];

function extra<K extends ExtraKey | PlanKey | RankKey>(
  key: K,
  label: string,
  unit: MeasureUnit,
  decimals: number,
  definition: string,
): NumberField & { key: K } {
  return { key, label, unit, decimals, definition };
}

const MOVES: NumberField[] = MEASURES.map(({ key, label, unit, decimals }) => ({
  key: `d.${key}`,
  label: `${label} ±`,
  unit,
  decimals,
  definition: `${label} less ${label} of the window before, of the same length.`,
}));

/** All number fields, in the order in which they are offered. */
export const NUMBER_FIELDS: readonly NumberField[] = [...MEASURES, ...EXTRA, ...MOVES];

/** What a plan of bids says of a row. */
export const PLAN_FIELDS: readonly (NumberField & { key: PlanKey })[] = [
  extra('plan.to', 'Proposed bid', 'money', 2, 'The bid that is proposed, after the step of the pace.'),
  extra('plan.step', 'Step', 'share', 0, 'Proposed bid ÷ present bid − 1.'),
  extra('plan.wanted', 'Wanted bid', 'money', 2, 'What it would be bid without the step of the pace.'),
  extra(
    'plan.chance',
    'Chance',
    'share',
    0,
    'Chance that it reaches its target ACOS at its present cost per click.',
  ),
  extra(
    'plan.profit',
    'Profit ±',
    'money',
    2,
    'Margin × sales − spend that a month is expected to change by; a dash where costs are not known.',
  ),
  extra(
    'plan.dry',
    'Ran dry',
    'share',
    0,
    'Share of the last 7 days on which its campaign spent its budget.',
  ),
  extra(
    'plan.learnt',
    'Learnt per cost',
    'factor',
    2,
    'Of a test: what it earns if it proves good × the chance of that ÷ what it costs at most.',
  ),
];

/** What the list of organic ranks says of a product's term. */
export const RANK_FIELDS: readonly (NumberField & { key: RankKey })[] = [
  extra(
    'rank.now',
    'Rank',
    'count',
    1,
    'Organic rank: mean of the last seven days that were told (geometric).',
  ),
  extra('rank.before', 'Rank before', 'count', 1, 'The same over the seven days before the compared ones.'),
  extra('rank.up', 'Places up', 'count', 1, 'Rank before − rank: above zero it went up.'),
  extra('rank.change', 'Rank ±', 'share', 0, 'Rank ÷ rank before − 1: above zero it lost places.'),
  extra('rank.searches', 'Searches', 'count', 0, 'Searches a week, as the market last told them.'),
  extra('rank.spendChange', 'Spend ± share', 'share', 0, 'Spend ÷ spend of as many days before − 1.'),
  extra(
    'rank.organic',
    'Organic sales',
    'money',
    0,
    'Sales a month that the rank brings without ads, estimated: searches × share of shoppers at the rank × conversion × order value.',
  ),
  extra(
    'rank.adShare',
    'Ad share',
    'share',
    0,
    'Ad sales ÷ (ad sales + estimated organic sales) of the term, a month.',
  ),
  extra('rank.holdCost', 'Cost to hold', 'money', 0, 'Spend a month at the pace of the compared days.'),
  extra(
    'rank.holds',
    'Holds',
    'money',
    0,
    'Organic sales a month that would be lost in eight weeks without its ad orders, estimated.',
  ),
  extra(
    'rank.holdPays',
    'Holds ÷ cost',
    'factor',
    1,
    'Organic sales that its ad orders hold, per money spent.',
  ),
  extra(
    'rank.gainCost',
    'Cost to gain',
    'money',
    0,
    'Further spend a month for the ad orders that halve the rank number in eight weeks, estimated.',
  ),
  extra(
    'rank.gains',
    'Gains',
    'money',
    0,
    'Organic sales a month that half the rank number adds, estimated.',
  ),
  extra('rank.gainPays', 'Gains ÷ cost', 'factor', 1, 'Organic sales added per money spent on gaining.'),
];
/** Fields that only whole products have: all their sales, with ads or without. */
export const OF_PRODUCTS: ReadonlySet<NumberKey> = new Set(['totalSales', 'organicSales', 'tacos']);

const numbers = new Map(
  [...NUMBER_FIELDS, ...PLAN_FIELDS, ...RANK_FIELDS].map((field) => [field.key as string, field]),
);

export const TEXT_LABELS: Record<TextKey, string> = {
  term: 'Search term',
  name: 'Name',
  place: 'Campaign or ad group',
  product: 'Product',
  line: 'Product line',
};

/** What the choices can be, and what they are called. */
export const CHOICES: Record<ChoiceKey, { label: string; values: readonly string[] }> = {
  kind: {
    label: 'Kind',
    values: [
      'exact',
      'phrase',
      'broad',
      'item',
      'category',
      'brand',
      'near searches',
      'wide searches',
      'rival items',
      'companion items',
    ],
  },
  state: { label: 'State', values: ['enabled', 'paused', 'archived', 'draft'] },
  termKind: { label: 'Kind of term', values: TERM_KINDS },
  seen: { label: 'First seen', values: SEEN },
  standing: { label: 'Standing', values: ['earning', 'near', 'losing', 'early'] },
  evidence: { label: 'Evidence', values: ['thin', 'fair', 'strong'] },
  running: { label: 'Running', values: ['yes', 'no'] },
  campaignState: { label: 'Campaign state', values: ['enabled', 'paused', 'archived', 'draft'] },
  chosen: { label: 'Chosen', values: ['by hand', 'automatic'] },
  flex: { label: 'Bid flex', values: ['fixed', 'down only', 'both ways'] },
  aim: { label: 'Target ACOS is', values: ['known', 'missing'] },
  coreTerm: { label: 'Core term', values: ['yes', 'no'] },
  lossAccepted: { label: 'Loss accepted', values: ['yes', 'no'] },
  judged: {
    label: 'Round’s step',
    values: ['dead spend', 'overpaying', 'room to grow', 'testing', 'nothing proposed'],
  },
};

export const isNumberKey = (key: string): key is NumberKey => numbers.has(key);
export const isTextKey = (key: string): key is TextKey => key in TEXT_LABELS;
export const isChoiceKey = (key: string): key is ChoiceKey => key in CHOICES;

/** The number field with this key. */
export function numberField(key: NumberKey): NumberField {
  return numbers.get(key)!;
}

/** How many inner units make one shown unit: a share is shown in per cent, money in currency units. */
export function shownScale(key: NumberKey): number {
  const { unit } = numberField(key);
  return unit === 'money' ? MICROS_PER_UNIT : unit === 'share' ? 0.01 : 1;
}

/** The measure whose move a field is; null for other fields. */
export function movedMeasure(key: string): MeasureKey | null {
  return key.startsWith('d.') ? measure(key.slice(2) as MeasureKey).key : null;
}
