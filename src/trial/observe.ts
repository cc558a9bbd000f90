import type { BidCampaign, BidObservations, BroughtAlong, EarlierModifiers } from '../core/bids';
import { targetForm } from '../core/structure';
import { dayNumber } from '../core/units';
import type { PlayedMarket } from './playedMarket';

/** Bids that held on earlier days, and when each was last changed. */
export class BidMemory {
  private readonly list: { from: number; bids: Map<string, number> }[] = [];
  private readonly changes = new Map<string, { day: number; from: number }>();
  private readonly modifiers: { from: number; list: BidCampaign['modifiers'][] }[] = [];
  private readonly budgets: { from: number; list: number[] }[] = [];
  private readonly brought = new Map<string, BroughtAlong>();

  /** Notes the bids that hold from today on. */
  note(market: PlayedMarket): void {
    const today = dayNumber(market.today);
    const last = this.list.at(-1)?.bids;
    const bids = new Map(
      market.books.targets.map(({ id, adGroupId, bid }) => [id, bid ?? defaultBid(market, adGroupId)]),
    );
    if (last)
      for (const [id, bid] of bids) {
        const from = last.get(id);
        if (from !== undefined && from !== bid) this.changes.set(id, { day: today, from });
      }
    this.list.push({ from: today, bids });
    this.budgets.push({ from: today, list: market.books.campaigns.map(({ budget }) => budget) });
    this.modifiers.push({
      from: today,
      list: market.books.campaigns.map(({ modifiers: { top, rest, pages } }) => [top, rest, pages]),
    });
  }

  /** Modifiers that held before they were set the next time, with the age of the day on which that was. */
  earlierModifiers(today: number): EarlierModifiers[] {
    return this.modifiers.flatMap(({ list }, at) => {
      const next = this.modifiers[at + 1];
      if (!next) return [];
      return list.flatMap((modifiers, campaign) =>
        String(modifiers) === String(next.list[campaign])
          ? []
          : [{ campaign, age: today - 1 - next.from, modifiers }],
      );
    });
  }

  /** What the words of a target that is made brought elsewhere before. */
  brings(id: string, record: BroughtAlong): void {
    this.brought.set(id, record);
  }

  broughtBy(id: string): BroughtAlong | null {
    return this.brought.get(id) ?? null;
  }

  budgetOn(campaign: number, day: number): number {
    const held = this.budgets.findLast(({ from }) => from <= day) ?? this.budgets[0];
    return held.list[campaign];
  }

  bidOn(id: string, day: number): number {
    const held = this.list.findLast(({ from }) => from <= day) ?? this.list[0];
    return held?.bids.get(id) ?? NaN;
  }

  changeOf(id: string, today: number): { daysAgo: number; from: number } | null {
    const change = this.changes.get(id);
    return change ? { daysAgo: today - change.day, from: change.from } : null;
  }
}

export function defaultBid({ books }: PlayedMarket, adGroupId: string): number {
  return books.adGroups.find(({ id }) => id === adGroupId)!.defaultBid;
}

/** The usual shares of orders that are visible so many days after a click: the stand-in's own, as a sync learns them. */
const COMPLETION = [0.6, 0.7, 0.8, 0.83, 0.86, 0.89, 0.92, 0.95, 0.957, 0.964, 0.971, 0.979, 0.986, 0.993];

/** What a market's seller can see today, as the engine is told it. */
export function observe(market: PlayedMarket, memory: BidMemory, testsUsed = 0): BidObservations {
  const { books, world, scenario } = market;
  const today = dayNumber(market.today);
  const campaignAt = new Map(books.campaigns.map(({ id }, at) => [id, at]));
  const adGroups = new Map(books.adGroups.map((one) => [one.id, one]));
  const productAt = new Map(world.products.map(({ id }, at) => [id, at]));
  const productOf = new Map(
    books.ads.map(({ adGroupId, productId }) => [adGroupId, productAt.get(productId)!]),
  );
  const targetAt = new Map(books.targets.map(({ id }, at) => [id, at]));
  const targets = books.targets.map((target) => {
    const adGroup = adGroups.get(target.adGroupId)!;
    const campaign = campaignAt.get(adGroup.campaignId)!;
    return {
      campaign,
      product: productOf.get(target.adGroupId)!,
      scope: 0,
      kind: targetForm(target),
      bid: target.bid ?? adGroup.defaultBid,
      isRunning: [target, adGroup, books.campaigns[campaign]].every(({ state }) => state === 'enabled'),
      change: memory.changeOf(target.id, today),
      before: memory.broughtBy(target.id),
    };
  });
  const days = {
    target: [] as number[],
    age: [] as number[],
    clicks: [] as number[],
    spend: [] as number[],
    orders: [] as number[],
    sales: [] as number[],
    bid: [] as number[],
  };
  const cells = new Map<
    number,
    [campaign: number, placement: number, age: number, clicks: number, spend: number, orders: number]
  >();
  for (const one of market.visible()) {
    const at = targetAt.get(one.targetId)!;
    days.target.push(at);
    days.age.push(one.age);
    days.clicks.push(one.clicks);
    days.spend.push(one.spend);
    days.orders.push(one.orders);
    days.sales.push(one.sales);
    days.bid.push(memory.bidOn(one.targetId, today - 1 - one.age));
    const { campaign } = targets[at];
    const key = (campaign * 3 + one.placement) * 1000 + one.age;
    const cell = cells.get(key) ?? [campaign, one.placement, one.age, 0, 0, 0];
    cell[3] += one.clicks;
    cell[4] += one.spend;
    cell[5] += one.orders;
    cells.set(key, cell);
  }
  const column = (at: number) => Float64Array.from(cells.values(), (cell) => cell[at]);
  return {
    completion: COMPLETION,
    products: world.products.map(({ price }) => ({ price, margin: MARGIN })),
    campaigns: books.campaigns.map(({ budget, budgetKind, modifiers }) => ({
      budget: budgetKind === 'daily' ? budget : null,
      modifiers: [modifiers.top, modifiers.rest, modifiers.pages],
    })),
    scopes: [{ targetAcos: scenario.targetAcos }],
    targets,
    testsUsed,
    earlierModifiers: memory.earlierModifiers(today),
    days: {
      target: Int32Array.from(days.target),
      age: Int32Array.from(days.age),
      clicks: Float64Array.from(days.clicks),
      spend: Float64Array.from(days.spend),
      orders: Float64Array.from(days.orders),
      sales: Float64Array.from(days.sales),
      bid: Float64Array.from(days.bid),
    },
    placements: {
      campaign: Int32Array.from(column(0)),
      placement: Int32Array.from(column(1)),
      age: Int32Array.from(column(2)),
      clicks: column(3),
      spend: column(4),
      orders: column(5),
    },
  };
}

/** Left of every price before ads, in a trial: what profit is counted with. */
export const MARGIN = 0.38;
