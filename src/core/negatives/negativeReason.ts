import { formatCount, formatMoney, formatShare } from '../units';
import { sumsOfRow } from '../terms';
import type { TermContext } from '../terms';
import { measure } from '../measures';
import { chanceToPay } from './proposeNegatives';

/** The reason of a negative in one sentence with its numbers. */
export function negativeReason(context: TermContext, row: number, targetAcos: number): string {
  const sums = sumsOfRow(context.table, row);
  const own = `${formatCount(sums.clicks)} ${sums.clicks === 1 ? 'click' : 'clicks'}, ${formatCount(sums.orders)} ${sums.orders === 1 ? 'order' : 'orders'}`;
  const yardstick = `an order usually takes ${formatCount(Math.round(context.usual(row).clicksPerOrder))} clicks here`;
  const { chance, limit, isMargin } = chanceToPay(context, row, targetAcos);
  const what = isMargin
    ? `that it earns what it costs (break-even ${formatShare(limit, 0)})`
    : `that it stays under ${formatShare(limit, 0)} ACOS`;
  const sure =
    chance === null || chance >= 0.0005 ? formatShare(chance, (chance ?? 1) < 0.1 ? 1 : 0) : 'hardly any';
  const told = chance === null ? '' : `; ${sure} chance ${what}`;
  const kind = context.kind(row);
  const listed =
    kind.name === 'never wanted'
      ? `Holds “${kind.word}”, which is on the list of what is never wanted. `
      : '';
  return `${listed}${own}; ${yardstick}; ${formatMoney(sums.spend)} spent${told}.`;
}

/** Conversion rate that a row's cost per click needs for the target ACOS. Null when one is not known. @param targetAcos share */
export function neededConversion(context: TermContext, row: number, targetAcos: number): number | null {
  const cpc = measure('cpc').of(sumsOfRow(context.table, row));
  const { orderValue } = context.usual(row);
  return cpc === null || cpc === 0 || orderValue === null ? null : cpc / (targetAcos * orderValue);
}
