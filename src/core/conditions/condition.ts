import { isChoiceKey, isNumberKey, isTextKey, shownScale } from './fields';
import type { ChoiceKey, NumberKey, TextKey } from './keys';

/**
 * A condition on a number. `value` is in the field's inner unit: micros, share, count. Equal is what is shown as equal; between holds both ends,
 * `value` and `to`; none is met where there is no such number.
 */
export interface NumberCondition {
  field: NumberKey;
  op: 'atLeast' | 'atMost' | 'equals' | 'between' | 'none';
  value: number;
  to?: number;
}

/** A condition on a text, case and accents ignored. */
export interface TextCondition {
  field: TextKey;
  op: 'holds' | 'lacks';
  text: string;
}

/** A condition on what a row is one of. */
export interface ChoiceCondition {
  field: ChoiceKey;
  op: 'is' | 'isNot';
  choice: string;
}

export type Condition = NumberCondition | TextCondition | ChoiceCondition;

/** Conditions of which one is enough. */
export type AnyOf = readonly Condition[];
/** A stack: every one of them has to hold. */
export type Stack = readonly AnyOf[];

export const isTextCondition = (one: Condition): one is TextCondition => isTextKey(one.field);
export const isChoiceCondition = (one: Condition): one is ChoiceCondition => isChoiceKey(one.field);
export const isNumberCondition = (one: Condition): one is NumberCondition => isNumberKey(one.field);

/** Writes a condition for a link: "clicks>=10", "acos<=24" (shown units), "bid=none", "acos=10..24", "term~jar", "place!~brand", "kind=exact". */
export function writeCondition(condition: Condition): string {
  if (isTextCondition(condition))
    return `${condition.field}${condition.op === 'holds' ? '~' : '!~'}${condition.text.replaceAll('|', '%7C')}`;
  if (isChoiceCondition(condition))
    return `${condition.field}${condition.op === 'is' ? '=' : '!='}${condition.choice}`;
  return `${condition.field}${NUMBER_SIGNS[condition.op]}${writeNumbers(condition)}`;
}

const NUMBER_SIGNS = { atLeast: '>=', atMost: '<=', equals: '=', between: '=', none: '=' } as const;

/** The numbers of a condition in shown units: "24", "10..24", "none". */
export function writeNumbers({ field, op, value, to }: NumberCondition): string {
  const shown = (inner: number) => Number((inner / shownScale(field)).toPrecision(12));
  if (op === 'none') return 'none';
  return op === 'between' ? `${shown(value)}..${shown(to ?? value)}` : String(shown(value));
}

/** Reads a condition of a link; null when it cannot be understood. */
export function readCondition(text: string): Condition | null {
  const parts = /^([a-zA-Z.]+)\s*(>=|<=|!=|!~|=|~)\s*(.+)$/s.exec(text.trim());
  if (!parts) return null;
  const [, field, op, rest] = parts;
  if (isTextKey(field))
    return op === '~' || op === '!~'
      ? { field, op: op === '~' ? 'holds' : 'lacks', text: rest.replaceAll('%7C', '|') }
      : null;
  if (isChoiceKey(field))
    return op === '=' || op === '!=' ? { field, op: op === '=' ? 'is' : 'isNot', choice: rest } : null;
  return isNumberKey(field) ? readNumbers(field, op, rest.trim()) : null;
}

function readNumbers(field: NumberKey, op: string, text: string): NumberCondition | null {
  const inner = (shown: string) => Number(shown.replace(',', '.')) * shownScale(field);
  if (op === '=') {
    if (text === 'none') return { field, op: 'none', value: 0 };
    const ends = /^(.+?)\s*(?:\.\.|–| to )\s*(.+)$/.exec(text);
    if (ends) {
      const [value, to] = [inner(ends[1]), inner(ends[2])].sort((a, b) => a - b);
      return Number.isFinite(value) && Number.isFinite(to) ? { field, op: 'between', value, to } : null;
    }
  }
  const value = inner(text);
  if (text === '' || !Number.isFinite(value)) return null;
  if (op === '=') return { field, op: 'equals', value };
  return op === '>=' || op === '<=' ? { field, op: op === '>=' ? 'atLeast' : 'atMost', value } : null;
}

/** Writes a group of which one condition is enough: "orders>=1|clicks<=5". */
export const writeAnyOf = (group: AnyOf): string => group.map(writeCondition).join('|');

/** Reads such a group; parts that cannot be understood are left out, null when none is left. */
export function readAnyOf(text: string): Condition[] | null {
  const group = text.split('|').flatMap((part) => readCondition(part) ?? []);
  return group.length === 0 ? null : group;
}
