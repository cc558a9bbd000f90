import {
  CHOICES,
  isChoiceCondition,
  isTextCondition,
  numberField,
  writeNumbers,
  TEXT_LABELS,
} from '../../../core/conditions';
import type { AnyOf, ChoiceKey, Condition, NumberKey, TextKey } from '../../../core/conditions';

/** Which fields conditions can be on, in the order in which they are offered. */
export interface FieldsOffered {
  numbers: readonly NumberKey[];
  texts: readonly TextKey[];
  choices: readonly ChoiceKey[];
}

/** Every comparison with its sign in links and its word on the page. */
export const OPS = {
  atLeast: { sign: '>=', word: 'at least' },
  atMost: { sign: '<=', word: 'at most' },
  equals: { sign: '=', word: 'equals' },
  between: { sign: '=', word: 'between' },
  none: { sign: '=', word: 'is not known' },
  holds: { sign: '~', word: 'holds' },
  lacks: { sign: '!~', word: 'lacks' },
  is: { sign: '=', word: 'is' },
  isNot: { sign: '!=', word: 'is not' },
} as const;
export type Op = keyof typeof OPS;

/** The comparisons of a field. */
export function opsOf(field: string): Op[] {
  if (field in TEXT_LABELS) return ['holds', 'lacks'];
  return field in CHOICES ? ['is', 'isNot'] : ['atLeast', 'atMost', 'equals', 'between', 'none'];
}

export const labelOf = (field: string): string =>
  field in TEXT_LABELS
    ? TEXT_LABELS[field as TextKey]
    : field in CHOICES
      ? CHOICES[field as ChoiceKey].label
      : numberField(field as NumberKey).label;

/** The value of a condition as it is typed. */
export function typedValue(condition: Condition): string {
  if (isTextCondition(condition)) return condition.text;
  if (isChoiceCondition(condition)) return condition.choice;
  return writeNumbers(condition).replace('..', ' to ');
}

/** A condition in words: "Clicks ≥ 10". */
export function wordsOf(condition: Condition): string {
  const label = labelOf(condition.field);
  if (isTextCondition(condition)) return `${label} ${OPS[condition.op].word} “${condition.text}”`;
  if (isChoiceCondition(condition)) return `${label} ${OPS[condition.op].word} ${condition.choice}`;
  const unit = numberField(condition.field).unit === 'share' ? ' %' : '';
  if (condition.op === 'none') return `${label} not known`;
  if (condition.op === 'between') return `${label} ${typedValue(condition)}${unit}`;
  return `${label} ${NUMBER_WORDS[condition.op]} ${typedValue(condition)}${unit}`;
}

const NUMBER_WORDS = { atLeast: '≥', atMost: '≤', equals: '=' } as const;

/** A group of which one condition is enough, in words. */
export const wordsOfAny = (group: AnyOf): string => group.map(wordsOf).join(' or ');
