import { MEASURES } from '../../core/measures';
import type { Measure } from '../../core/measures';

const UNITS: Record<string, (currency: string) => string> = {
  money: (currency) => ` In ${currency}.`,
  share: () => ' In %.',
  factor: () => ' A multiple: 1 is equal.',
};

const whole = (sentence: string) =>
  /[.!?]$/.test(sentence.trim()) ? sentence.trim() : `${sentence.trim()}.`;

interface Explained {
  key: string;
  definition: string;
  unit?: string;
  better?: Measure['better'];
}

/** A heading explained: what it is made of, its unit, and what is good. @param better left out: looked up by the measure's key */
export function explain({ key, definition, unit, better }: Explained, currency: string): string {
  const good = better ?? MEASURES.find((one) => one.key === key.replace(/^d\./, ''))?.better ?? null;
  const words = good === null ? '' : ` ${good === 'higher' ? 'Higher' : 'Lower'} is better.`;
  return `${whole(definition)}${UNITS[unit ?? '']?.(currency) ?? ''}${words}`;
}
