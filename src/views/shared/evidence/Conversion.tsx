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
}

/** What a row's own clicks make of what is usual there. */
export function Conversion({ usual, clicks, orders, needed }: ConversionProps) {
  const rate = PRIOR_ORDERS / usual;
  return (
    <>
      <h3 style={EVIDENCE_HEADING}>Conversion</h3>
      <RateCurve
        width={EVIDENCE_WIDTH}
        prior={{ shape: PRIOR_ORDERS, rate }}
        posterior={{ shape: PRIOR_ORDERS + orders, rate: rate + clicks }}
        needed={needed}
      />
      <p className="faint" style={{ margin: '2px 0 0', fontSize: 12 }}>
        Pale: usual here, {formatShare(usual)}; it counts like {Math.round(rate)} clicks. Dark: with its own{' '}
        {formatCount(clicks)} clicks and {formatCount(orders)} orders.
      </p>
    </>
  );
}
