import { counted, formatCount, formatMoney, formatShare } from '../units';
import type { MarketLimits } from '../changes';
import { paysSomewhere } from '../terms';
import type { TermContext } from '../terms';
import { bidMatter } from './bidMatter';
import { chanceToPay } from './proposeNegatives';

/** The reason of a negative in one sentence with its numbers; of a term that is none, why it is not. */
export function negativeReason(
  context: TermContext,
  row: number,
  targetAcos: number,
  limits: Pick<MarketLimits, 'minBid' | 'bidStep'>,
): string {
  const { table, judged, structure } = context;
  const days = table.history ? ` in ${formatCount(table.history.days)} days` : '';
  const own = `${counted(judged.clicks[row], 'click')}, ${counted(judged.orders[row], 'order')}${days}`;
  const yardstick = `an order usually takes ${counted(Math.round(1 / context.prior(row).mean), 'click')} with its target`;
  const { chance, limit, isMargin } = chanceToPay(context, row, targetAcos);
  const what = isMargin
    ? `that it earns what it costs (break-even ${formatShare(limit, 0)})`
    : `that it stays under ${formatShare(limit, 0)} ACOS (costs are not known: 1.5 × the target is assumed)`;
  const sure =
    chance === null || chance >= 0.0005 ? formatShare(chance, (chance ?? 1) < 0.1 ? 1 : 0) : 'hardly any';
  const told = chance === null ? '' : `; ${sure} chance ${what}`;
  const spent = `${formatMoney(table.spend[row])} spent${table.history ? ' in the window' : ''}`;
  return `${listedText(context, row)}${own}; ${yardstick}; ${spent}${told}.${insteadText()}`;

  function insteadText(): string {
    if (paysSomewhere(context, row, targetAcos))
      return ' It paid over 30, 60 or 90 settled days: no negative is proposed.';
    const matter = bidMatter(context, row, targetAcos, limits);
    if (!matter) return '';
    const target = structure.target(matter.targetId)?.expression ?? '';
    return ` A bid matter: “${target}” catches little else, and at a bid of ${formatMoney(matter.to)} (now ${formatMoney(matter.from)}) it would be on target.`;
  }
}

function listedText(context: TermContext, row: number): string {
  const kind = context.kind(row);
  return kind.name === 'never wanted'
    ? `Holds “${kind.word}”, which is on the list of what is never wanted. `
    : '';
}
