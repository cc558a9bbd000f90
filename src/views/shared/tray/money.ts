import type { NewChange } from '../../../contract/changes';
import { sumExpected } from '../../../core/changes';
import { formatCount, formatMoney } from '../../../core/units';

export const changeCount = (count: number) => `${formatCount(count)} ${count === 1 ? 'change' : 'changes'}`;

/** What changes are expected to do in a month, in words: "about −120.00 EUR spend, −40.00 sales a month"; empty where nothing is said. */
export function expectedWords(changes: readonly Pick<NewChange, 'effect'>[], currency: string): string {
  const { spend, sales } = sumExpected(changes.map(({ effect }) => effect));
  if (spend === 0 && sales === 0) return '';
  return `about ${signed(spend)} ${currency} spend, ${signed(sales)} sales a month`;
}

/** An amount with its sign. Micros. */
export const signed = (micros: number) =>
  `${micros > 0 ? '+' : micros < 0 ? '−' : ''}${formatMoney(Math.abs(micros))}`;
