import { RateCurve } from '../../../charts';
import { PRIOR_ORDERS } from '../../../core/evidence';
import { formatCount, formatShare } from '../../../core/units';
import { EVIDENCE_HEADING, EVIDENCE_WIDTH } from './look';

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
}

/** What a row's own clicks make of what is usual there. */
export function Conversion({
  usual,
  clicks,
  orders,
  needed,
  strength = PRIOR_ORDERS,
  exposure = clicks,
}: ConversionProps) {
  const rate = strength / usual;
  return (
    <>
      <h3 style={EVIDENCE_HEADING}>Conversion</h3>
      <RateCurve
        width={EVIDENCE_WIDTH}
        prior={{ shape: strength, rate }}
        posterior={{ shape: strength + orders, rate: rate + exposure }}
        needed={needed}
      />
      <p className="faint" style={{ margin: '2px 0 0', fontSize: 12 }}>
        Pale: usual here, {formatShare(usual)}; it counts like {Math.round(rate)} clicks. Dark: with its own{' '}
        {formatCount(clicks)} clicks and {formatCount(orders)} orders.
      </p>
    </>
  );
}
