import { max } from 'd3-array';
import { scaleBand, scaleLinear } from 'd3-scale';
import { addDays, daysIn, formatCount, formatDay, formatMoney } from '../../core/units';

import { PictureTable } from '../PictureTable';

interface StripDay {
  day: string;
  clicks: number;
  spend: number;
  orders: number;
}

interface DayStripProps {
  days: StripDay[];
  from: string;
  to: string;
  /** Days after this one are unsettled. */
  settledTo: string;
  width: number;
  currency: string;
}

const HEIGHT = 88;
/** Where the orders stand: above the spend, on a scale of their own. */
const ORDERS = { top: 12, bottom: 30 };

/** Day by day: spend as bars, above it the orders on a scale of their own; unsettled days are pale. */
export function DayStrip({ days, from, to, settledTo, width, currency }: DayStripProps) {
  const inside = days.filter(({ day }) => day >= from && day <= to);
  const byDay = new Map(inside.map((one) => [one.day, one]));
  const names = Array.from({ length: daysIn(from, to) }, (_, at) => addDays(from, at));
  const x = scaleBand(names, [0, width]).paddingInner(0.2);
  const y = scaleLinear([0, max(inside, (one) => one.spend) || 1], [HEIGHT - 14, ORDERS.bottom + 6]);
  const most = max(inside, (one) => one.orders) ?? 0;
  const orderTop = scaleLinear([0, most || 1], [ORDERS.bottom, ORDERS.top]);
  const orders = inside.reduce((sum, one) => sum + one.orders, 0);
  const words = `Spend and orders by day, ${formatDay(from)} to ${formatDay(to)}: ${orders} orders.`;
  return (
    <>
      <PictureTable
        caption={words}
        headings={['Day', 'Clicks', `Spend ${currency}`, 'Orders']}
        rows={inside.map((one) => [
          formatDay(one.day),
          formatCount(one.clicks),
          formatMoney(one.spend),
          formatCount(one.orders),
        ])}
      />
      <svg width={width} height={HEIGHT} role="img" aria-label={words}>
        {names.map((day) => {
          const one = byDay.get(day);
          if (!one) return null;
          const left = x(day)!;
          return (
            <g key={day}>
              <title>{`${formatDay(day)}: ${one.clicks} clicks, ${formatMoney(one.spend)} ${currency}, ${one.orders} orders`}</title>
              <rect
                x={left}
                width={x.bandwidth()}
                y={y(one.spend)}
                height={HEIGHT - 14 - y(one.spend)}
                fill="var(--ink)"
                opacity={day > settledTo ? 0.25 : 0.55}
              />
              {one.orders > 0 && (
                <rect
                  x={left}
                  width={x.bandwidth()}
                  y={orderTop(one.orders)}
                  height={ORDERS.bottom - orderTop(one.orders)}
                  fill="var(--under)"
                  opacity={day > settledTo ? 0.5 : 1}
                />
              )}
            </g>
          );
        })}
        <text x={0} y={9} fontSize={11} fill="var(--faint)">
          {most === 0 ? 'no orders' : `orders, ${formatCount(most)} on the best day`}
        </text>
        <line x1={0} x2={width} y1={HEIGHT - 14} y2={HEIGHT - 14} stroke="var(--hairline)" />
        <text x={0} y={HEIGHT - 2} fontSize={11} fill="var(--faint)">
          {formatDay(from)}
        </text>
        <text x={width} y={HEIGHT - 2} fontSize={11} fill="var(--faint)" textAnchor="end">
          {formatDay(to)}
        </text>
      </svg>
    </>
  );
}
