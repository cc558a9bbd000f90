import { isChoiceKey, isNumberKey, isTextKey, shownScale } from './fields';
import type { ChoiceKey, NumberKey, TextKey } from './fields';

/** A condition on a number. `value` is in the field's inner unit: micros, share, count. */
export interface NumberCondition {
  field: NumberKey;
  op: 'atLeast' | 'atMost';
  value: number;
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

/** Writes a condition for a link: "clicks>=10", "acos<=24" (shown units), "term~jar", "place!~brand", "kind=exact". */
export function writeCondition(condition: Condition): string {
  if (isTextCondition(condition))
    return `${condition.field}${condition.op === 'holds' ? '~' : '!~'}${condition.text.replaceAll('|', '%7C')}`;
  if (isChoiceCondition(condition))
    return `${condition.field}${condition.op === 'is' ? '=' : '!='}${condition.choice}`;
  const shown = Number((condition.value / shownScale(condition.field)).toPrecision(12));
  return `${condition.field}${condition.op === 'atLeast' ? '>=' : '<='}${shown}`;
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
  const shown = Number(rest.replace(',', '.'));
  if (!isNumberKey(field) || !Number.isFinite(shown) || (op !== '>=' && op !== '<=')) return null;
  return { field, op: op === '>=' ? 'atLeast' : 'atMost', value: shown * shownScale(field) };
}

/** Writes a group of which one condition is enough: "orders>=1|clicks<=5". */
export const writeAnyOf = (group: AnyOf): string => group.map(writeCondition).join('|');

/** Reads such a group; parts that cannot be understood are left out, null when none is left. */
export function readAnyOf(text: string): Condition[] | null {
  const group = text.split('|').flatMap((part) => readCondition(part) ?? []);
  return group.length === 0 ? null : group;
}
