import type { PlayedMarket } from './playedMarket';
import type { Policy } from './policies';

/** Days, counted from the first decision, whose orders are told later than they should be. */
export interface Blackout {
  from: number;
  to: number;
  /** From this day on they are told. */
  told: number;
}

/** A policy that is told of the orders of some days late: clicks and spend come as ever, and nothing seems to sell. */
export function inBlackout(policy: Policy, { from, to, told }: Blackout): Policy {
  return (market, memory) => {
    const day = market.days.length - market.scenario.days;
    policy(day < from || day >= told ? market : withoutOrders(market, from, to), memory);
  };
}

/** The same market, its books too, seen without the orders of some days. */
function withoutOrders(market: PlayedMarket, from: number, to: number): PlayedMarket {
  const first = market.scenario.days;
  const days = market.days.map((day, at) =>
    at - first < from || at - first >= to
      ? day
      : {
          ...day,
          targets: day.targets.map(unsold),
          terms: day.terms.map(unsold),
          hours: day.hours.map(unsold),
          late: [],
        },
  );
  return Object.create(market, { days: { value: days } }) as PlayedMarket;
}

const unsold = <T extends { orders: number; units: number; sales: number }>(one: T): T => ({
  ...one,
  orders: 0,
  units: 0,
  sales: 0,
});
