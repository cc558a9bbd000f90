import { formatCount, formatMoney } from '../../../core/units';

export const changeCount = (count: number) => `${formatCount(count)} ${count === 1 ? 'change' : 'changes'}`;

/** An amount with its sign. Micros. */
export const signed = (micros: number) =>
  `${micros > 0 ? '+' : micros < 0 ? '−' : ''}${formatMoney(Math.abs(micros))}`;
