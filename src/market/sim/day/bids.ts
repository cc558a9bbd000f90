import { PLACEMENTS } from '../../../core/structure';
import type { Field } from '../auction/caught';
import type { ProductListing } from '../world/listing';
import type { Purse } from './purse';

/** How far the market moves bids by itself. */
const FLEX_UP = 1.25;
const FLEX_DOWN = 0.6;
/** How likely a click has to sell, beside the usual, for that. */
const LIKELY = 1.1;
const UNLIKELY = 0.6;

const FIXED = 0;
const DOWN = 1;
const BOTH_WAYS = 2;

/**
 * What every player of a day bids, in columns: the market asks for it at every placement of every search. A player is named by its index
 * in `Field.players`.
 */
export class Bids {
  /** Bid with the campaign's modifier, by placement. Micros. */
  private readonly raised: Float64Array[];
  private readonly flex: Uint8Array;
  private readonly at: Int32Array;
  private readonly isSoldOut: Uint8Array;
  /** Bid factor of each campaign in the present hour. */
  readonly scheduled: Float64Array;

  constructor(
    private readonly field: Field,
    listings: readonly ProductListing[],
    private readonly purse: Purse,
  ) {
    const { players, campaigns } = field;
    this.raised = PLACEMENTS.map((placement) =>
      Float64Array.from(players, ({ bid, campaign }) => bid * (1 + campaign.modifiers[placement])),
    );
    this.flex = Uint8Array.from(players, ({ campaign: { flex } }) =>
      flex === 'fixed' ? FIXED : flex === 'both ways' ? BOTH_WAYS : DOWN,
    );
    this.at = Int32Array.from(players, ({ at }) => at);
    this.isSoldOut = Uint8Array.from(players, ({ product }) => (listings[product].stock === 0 ? 1 : 0));
    this.scheduled = new Float64Array(campaigns.length).fill(1);
  }

  /**
   * The highest bid among those who can pay it.
   * @param called players that a search calls up
   * @param placement index in PLACEMENTS
   * @param likely how well its clicks sell beside the usual, 1: as usual
   * @returns the player's index, -1 where nobody bids, and the bid in micros
   */
  best(called: Int32Array, placement: number, likely: number): { index: number; bid: number } {
    const { at, flex, isSoldOut, scheduled, purse } = this;
    const { players } = this.field;
    const raised = this.raised[placement];
    let best = -1;
    let most = 0;
    for (let place = 0; place < called.length; place += 1) {
      const index = called[place];
      let bid = raised[index] * scheduled[at[index]];
      if (flex[index] !== FIXED) {
        if (likely > LIKELY && flex[index] === BOTH_WAYS) bid *= FLEX_UP;
        else if (likely < UNLIKELY) bid *= FLEX_DOWN;
      }
      if (bid > most && isSoldOut[index] === 0 && purse.canPay(players[index], bid)) {
        best = index;
        most = bid;
      }
    }
    return { index: best, bid: most };
  }
}
