import { counted, formatCount, formatMoney, formatShare } from '../../core/units';
import type { BidSummary } from './bidEdits';

const signed = (micros: number) => `${micros < 0 ? '−' : '+'}${formatMoney(Math.abs(micros))}`;
const acos = ({ spend, sales }: { spend: number; sales: number }) =>
  formatShare(sales > 0 ? spend / sales : null);

/** What a whole step would do: "38 bids down, 12 at the floor, spend about −640 a month". */
export function summaryWords(summary: BidSummary, currency: string): { does: string; brings: string } {
  const { down, up, paused, atFloor, atCap, same, now, after } = summary;
  const does = [
    down > 0 && `${counted(down, 'bid')} down`,
    up > 0 && `${counted(up, 'bid')} up`,
    paused > 0 && `${counted(paused, 'target')} paused`,
    atFloor > 0 && `${formatCount(atFloor)} at the floor`,
    atCap > 0 && `${formatCount(atCap)} at the cap`,
    same > 0 && (same === 1 ? '1 stays as it is' : `${formatCount(same)} stay as they are`),
  ].filter(Boolean);
  return {
    does: does.join(', '),
    brings: `spend about ${signed(after.spend - now.spend)} ${currency} a month, sales ${signed(after.sales - now.sales)}, ACOS of these ${acos(now)} → ${acos(after)}`,
  };
}
