import { addDays, dayNumber } from '../core/units';
import { buildWorld, firstState, PLACEMENTS, prepareField, setUpSeller, simulateDay } from '../market/sim';
import type { Books, DayFacts, Scenario, SimState, World } from '../market/sim';

/** What a week came to, with the orders that arrived later. Money in micros. */
export interface WeekSums {
  clicks: number;
  spend: number;
  orders: number;
  sales: number;
}

/** A stand-in market played in memory, whose seller's bids a policy may change between days. */
export class PlayedMarket {
  readonly world: World;
  readonly books: Books;
  readonly days: DayFacts[];
  private readonly state: SimState;
  private day: string;

  /** @param of the market that it goes on from, left out: a new one */
  constructor(
    readonly scenario: Scenario,
    of?: PlayedMarket,
  ) {
    this.world = of?.world ?? buildWorld(scenario);
    this.books = of ? structuredClone(of.books) : setUpSeller(this.world);
    this.state = of ? structuredClone(of.state) : firstState(this.world);
    this.day = of?.day ?? addDays(scenario.today, -scenario.days);
    this.days = of ? [...of.days] : [];
  }

  /** The same market once more, to be played on otherwise. */
  copy(): PlayedMarket {
    return new PlayedMarket(this.scenario, this);
  }

  /** Lets days pass with the books as they are. */
  play(count: number): void {
    const field = prepareField(this.world, this.books, this.day);
    for (let done = 0; done < count; done += 1) {
      this.days.push(simulateDay(this.world, field, this.books.schedules, this.state, this.day));
      this.day = addDays(this.day, 1);
    }
  }

  /** The present day; days before it are over. */
  get today(): string {
    return this.day;
  }

  /** Sums of some days, counted from the first one, with every order that follows their clicks however late it arrives. */
  sums(from: number, to: number): WeekSums {
    const sums = { clicks: 0, spend: 0, orders: 0, sales: 0 };
    for (const { targets, late } of this.days.slice(from, to)) {
      for (const one of targets) {
        sums.clicks += one.clicks;
        sums.spend += one.spend;
        sums.orders += one.orders;
        sums.sales += one.sales;
      }
      sums.orders += late.length;
      for (const { sales } of late) sums.sales += sales;
    }
    return sums;
  }

  /** Target-days with the orders that are visible today. */
  *visible(): Generator<{
    age: number;
    targetId: string;
    placement: number;
    clicks: number;
    spend: number;
    orders: number;
    sales: number;
  }> {
    const today = dayNumber(this.day);
    for (const { day, targets, late } of this.days) {
      const age = today - 1 - dayNumber(day);
      const arrived = late.filter(({ arrives }) => arrives < this.day);
      for (const { targetId, placement, clicks, spend, orders, sales } of targets)
        yield { age, targetId, placement: PLACEMENTS.indexOf(placement), clicks, spend, orders, sales };
      for (const { targetId, placement, sales } of arrived)
        yield {
          age,
          targetId,
          placement: PLACEMENTS.indexOf(placement),
          clicks: 0,
          spend: 0,
          orders: 1,
          sales,
        };
    }
  }
}
