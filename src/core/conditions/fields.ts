import { SEEN, TERM_KINDS } from '../matching';
import { BUSINESS_MEASURES, MEASURES, measure } from '../measures';
import type { MeasureKey } from '../measures';
import { MICROS_PER_UNIT } from '../units';
import type { ChoiceKey, ExtraKey, NumberKey, TextKey } from './keys';
import { extra } from './numberField';
import type { NumberField } from './numberField';
import { PLAN_FIELDS } from './planFields';
import { RANK_FIELDS } from './rankFields';

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

const MOVES: NumberField[] = MEASURES.map(({ key, label, unit, decimals }) => ({
  key: `d.${key}`,
  label: `${label} ±`,
  unit,
  decimals,
  definition: `${label} less ${label} of the window before, of the same length.`,
}));

/** All number fields, in the order in which they are offered. */
export const NUMBER_FIELDS: readonly NumberField[] = [...MEASURES, ...EXTRA, ...MOVES];

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
