import { formatCount, formatMoney } from '../../../core/units';
import type { Effect } from '../../../core/changes';

export const changeCount = (count: number) => `${formatCount(count)} ${count === 1 ? 'change' : 'changes'}`;

/** An amount with its sign. Micros. */
export const signed = (micros: number) =>
  `${micros > 0 ? '+' : micros < 0 ? '−' : ''}${formatMoney(Math.abs(micros))}`;

/** What is expected in a month, in words; empty where nothing is claimed. */
export function effectWords({ spend, sales }: Effect): string {
  return [spend !== 0 && `spend ${signed(spend)}`, sales !== 0 && `sales ${signed(sales)}`]
    .filter(Boolean)
    .join(', ');
}
