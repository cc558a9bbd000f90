import type { Field, Player } from '../auction/caught';
import type { SimCampaign } from '../seller/books';
import type { SimState } from './facts';
import { HOUR_SHARE } from './demand';

/** Share of a day's searches up to the end of each hour. */
const SHARE_SO_FAR = HOUR_SHARE.map((_, hour) =>
  HOUR_SHARE.slice(0, hour + 1).reduce((sum, one) => sum + one, 0),
);
/** An evenly paced campaign may be this far ahead of the day. */
const AHEAD = 1.15;

/** The day's money: who may still play, and who has run dry. */
export class Purse {
  private readonly left: Float64Array;
  private readonly spent: Float64Array;
  private readonly budget: Float64Array;
  private readonly isEven: boolean[];
  /** What ad groups with a budget of their own have left, by id. */
  private readonly parts = new Map<string, number>();
  private readonly campaigns: SimCampaign[];
  private readonly state: SimState;
  private hour = 0;

  constructor({ campaigns, players }: Field, state: SimState) {
    this.campaigns = campaigns;
    this.state = state;
    this.budget = Float64Array.from(campaigns, ({ id, budget, budgetKind }) =>
      budgetKind === 'daily' ? budget : Math.max(0, budget - (state.spent[id] ?? 0)),
    );
    this.left = Float64Array.from(this.budget);
    for (const { adGroup } of players)
      if (adGroup.budget !== null) this.parts.set(adGroup.id, adGroup.budget);
    this.spent = new Float64Array(campaigns.length);
    this.isEven = campaigns.map(({ pacing, budgetKind }) => pacing === 'even' && budgetKind === 'daily');
  }

  beginHour(hour: number): void {
    this.hour = hour;
  }

  /** Whether a campaign, and the ad group, may show an ad that could cost a bid. */
  canPay({ at, adGroup }: Player, bid: number): boolean {
    if (this.state.funds !== null && this.state.funds < bid) return false;
    if (this.left[at] < bid || (this.parts.get(adGroup.id) ?? Infinity) < bid) return false;
    return !this.isEven[at] || this.spent[at] <= this.budget[at] * SHARE_SO_FAR[this.hour] * AHEAD;
  }

  /** Clicks that a campaign can still pay at a price, at most `clicks`. */
  afford({ at, adGroup }: Player, clicks: number, price: number): number {
    const own = Math.min(this.left[at], this.parts.get(adGroup.id) ?? Infinity);
    const money = this.state.funds === null ? own : Math.min(own, this.state.funds);
    return Math.min(clicks, Math.floor(money / price));
  }

  pay({ at, adGroup }: Player, amount: number): void {
    const part = this.parts.get(adGroup.id);
    if (part !== undefined) this.parts.set(adGroup.id, part - amount);
    this.left[at] -= amount;
    this.spent[at] += amount;
    if (this.state.funds !== null) this.state.funds -= amount;
    const { id, budgetKind } = this.campaigns[at];
    if (budgetKind === 'lifetime') this.state.spent[id] = (this.state.spent[id] ?? 0) + amount;
  }
}
