import { Measured, RateCurve } from '../../../charts';
import { PRIOR_ORDERS } from '../../../core/evidence';
import { counted, formatCount, formatShare } from '../../../core/units';

interface ConversionProps {
  /** Conversion rate that is usual there, share. */
  usual: number;
  clicks: number;
  orders: number;
  /** Rate that the target needs; null where it is not known. */
  needed: number | null;
  /** Weight of what is usual, in orders; and the clicks that count, where some count less. */
  strength?: number;
  exposure?: number;
  /** On how many days the clicks came; left out where the panel tells it. */
  days?: number;
}

/** What a row's own clicks make of what is usual there. */
export function Conversion({
  usual,
  clicks,
  orders,
  needed,
  strength = PRIOR_ORDERS,
  exposure = clicks,
  days,
}: ConversionProps) {
  const rate = strength / usual;
  return (
    <>
      <h3 className="panelPart">Conversion</h3>
      <Measured>
        {(width) => (
          <RateCurve
            width={width}
            prior={{ shape: strength, rate }}
            posterior={{ shape: strength + orders, rate: rate + exposure }}
            needed={needed}
          />
        )}
      </Measured>
      <p className="note">
        Pale: usual here, {formatShare(usual)}; it counts like {Math.round(rate)} clicks. Dark: with its own{' '}
        {counted(clicks, 'click')} and {counted(orders, 'order')}
        {days === undefined ? '' : ` in ${formatCount(days)} days`}.
      </p>
    </>
  );
}
