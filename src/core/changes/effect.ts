import type { Micros } from '../units';

/** What a staged change is expected to do in a month of 30.4 days. Micros. */
export interface Effect {
  spend: Micros;
  sales: Micros;
}

/** Sum of expected effects. */
export function sumExpected(effects: Iterable<Effect>): Effect {
  const total = { spend: 0, sales: 0 };
  for (const effect of effects) {
    total.spend += effect.spend;
    total.sales += effect.sales;
  }
  return total;
}
