import { MEASURES, measure } from '../measures';
import type { MeasureKey } from '../measures';
import { MICROS_PER_UNIT } from '../units';

/** A condition on a measure. `value` is in the measure's inner unit: micros, share, count. */
export interface MeasureCondition {
  field: MeasureKey;
  op: 'atLeast' | 'atMost';
  value: number;
}

/** A condition on a text, case and accents ignored. */
export interface TextCondition {
  field: 'term' | 'place';
  op: 'holds' | 'lacks';
  text: string;
}

export type Condition = MeasureCondition | TextCondition;

export function isTextCondition(condition: Condition): condition is TextCondition {
  return condition.field === 'term' || condition.field === 'place';
}

/** How many inner units make one shown unit: a share is shown in per cent, money in currency units. */
export function shownScale(field: MeasureKey): number {
  const { unit } = measure(field);
  return unit === 'money' ? MICROS_PER_UNIT : unit === 'share' ? 0.01 : 1;
}

const isMeasureKey = (text: string): text is MeasureKey => MEASURES.some((one) => one.key === text);

/** Writes a condition for a link: "clicks>=10", "acos<=24" (shown units), "term~jar", "place!~brand". */
export function writeCondition(condition: Condition): string {
  if (isTextCondition(condition))
    return `${condition.field}${condition.op === 'holds' ? '~' : '!~'}${condition.text}`;
  const shown = Number((condition.value / shownScale(condition.field)).toPrecision(12));
  return `${condition.field}${condition.op === 'atLeast' ? '>=' : '<='}${shown}`;
}

/** Reads a condition of a link; null when it cannot be understood. */
export function readCondition(text: string): Condition | null {
  const parts = /^([a-zA-Z]+)\s*(>=|<=|!~|~)\s*(.+)$/s.exec(text.trim());
  if (!parts) return null;
  const [, field, op, rest] = parts;
  if (field === 'term' || field === 'place')
    return op === '~' || op === '!~' ? { field, op: op === '~' ? 'holds' : 'lacks', text: rest } : null;
  const shown = Number(rest.replace(',', '.'));
  if (!isMeasureKey(field) || !Number.isFinite(shown) || op === '~' || op === '!~') return null;
  return { field, op: op === '>=' ? 'atLeast' : 'atMost', value: shown * shownScale(field) };
}
