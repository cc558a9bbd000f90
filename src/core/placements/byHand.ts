import { CPC_ELASTICITY } from '../bids';
import { MAX_MODIFIER } from '../changes';
import type { Micros } from '../units';

/** How a modifier is set by hand: to a value, by so much of the bid there, or so that something comes out there. */
export type ModifierWay =
  | { way: 'value'; share: number }
  | { way: 'step'; share: number }
  | { way: 'cpc'; micros: Micros }
  | { way: 'acos'; share: number }
  | { way: 'bid'; micros: Micros };

/** What is known of a placement of a campaign. Money in micros. */
interface Known {
  from: number;
  /** Mean base bid of the campaign. */
  bid: Micros;
  /** Cost per click there, 0 where none is known; and what a click brings there. */
  cpc: Micros;
  rpc: Micros;
}

/**
 * The modifier that a way by hand comes to, on whole per cent: a cost per click c is reached at (1 + m) (c / CPC)^(1/0.8), an ACOS at the
 * cost per click that it allows, a bid at bid / base bid. Within nothing and the market's most; a placement is turned down, never off.
 * @returns null where too little is known there
 */
export function modifierBy(way: ModifierWay, { from, bid, cpc, rpc }: Known): number | null {
  const raise = 1 + from;
  const atCpc = (wanted: Micros) =>
    cpc > 0 && wanted > 0 ? raise * (wanted / cpc) ** (1 / CPC_ELASTICITY) : null;
  const wanted = (): number | null => {
    switch (way.way) {
      case 'value':
        return 1 + way.share;
      case 'step':
        return raise * (1 + way.share);
      case 'cpc': {
        const atMost = atCpc(way.micros);
        return atMost === null ? null : Math.min(raise, atMost);
      }
      case 'acos':
        return atCpc(way.share * rpc);
      case 'bid':
        return bid > 0 ? way.micros / bid : null;
    }
  };
  const next = wanted();
  if (next === null) return null;
  return Math.round(Math.min(MAX_MODIFIER, Math.max(0, next - 1)) * 100) / 100;
}
