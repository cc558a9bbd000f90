import type { TargetTrial } from '../../plans/bids';
import { DASH, formatCount, formatShare, MICROS_PER_UNIT } from '../../core/units';

const ratio = ({ spend, sales }: TargetTrial['now']) => formatShare(sales > 0 ? spend / sales : null);
const whole = (micros: number | null) =>
  micros === null ? DASH : formatCount(Math.round(micros / MICROS_PER_UNIT));

/** What a tried target does in a month: bids moved, and each figure from what it is to what it comes to. */
export function TrialFigures({ trial, currency }: { trial: TargetTrial; currency: string }) {
  const { now, after, down, up } = trial;
  const figures: [string, string, string][] = [
    ['spend', whole(now.spend), whole(after.spend)],
    ['sales', whole(now.sales), whole(after.sales)],
    ['ACOS', ratio(now), ratio(after)],
    ['profit', whole(now.profit), whole(after.profit)],
  ];
  return (
    <>
      <span>
        {formatCount(down)} bids down, {formatCount(up)} up; a month in {currency}:
      </span>
      {figures.map(([label, from, to]) => (
        <span className="oneLine" key={label}>
          <span className="faint">{label}</span> {from} → <strong>{to}</strong>
        </span>
      ))}
    </>
  );
}
