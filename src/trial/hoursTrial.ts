import { CELLS, hourCells, hoursWorth, proposeWeek, rhythmOf } from '../core/hours';
import type { HourCells } from '../core/hours';
import { weekdayOf } from '../core/units';
import type { SimSchedule } from '../market/sim';
import { ENDLESS } from './missed';
import { MARGIN } from './observe';
import { PlayedMarket } from './playedMarket';
import { trialScenario } from './runTrial';
import type { Market } from './runTrial';

/** What is done with the hours of the week: nothing; a schedule where it is worth it; each hour by what it sold; its worst day, or its nights, off. */
export const HOUR_WAYS = ['none', 'mowing', 'naive cells', 'worst day off', 'nights off'] as const;
export type HourWay = (typeof HOUR_WAYS)[number];

/** What the days after came to. Money in micros. */
export interface PlayedHours {
  way: HourWay;
  spend: number;
  sales: number;
  profit: number;
  /** Whether anything was scheduled. */
  isScheduled: boolean;
}

const HOURS = 24;
/** Days that are watched, and days that are played by what they told. */
const [WATCHED, PLAYED] = [84, 84];
/** What an hour may be moved to, as bid after / bid before. */
const [LEAST, MOST] = [0.3, 2];

/** Plays a market whose conversion varies by weekday x hour, then goes on with it in each way: bids stay, schedules alone differ. */
export function playHours(seed: number, sigma: number, kind: Market = 'small'): PlayedHours[] {
  const plain = trialScenario(seed, kind);
  const market = new PlayedMarket({ ...plain, days: WATCHED, nature: { ...plain.nature, rhythm: sigma } });
  // Money that holds campaigns up would decide which hours they run in.
  for (const campaign of market.books.campaigns) campaign.budget = ENDLESS;
  market.play(WATCHED);
  const cells = cellsOf(market);
  return HOUR_WAYS.map((way) => {
    const bids = bidsOf(way, cells);
    const played = market.copy();
    if (bids) schedule(played, bids);
    played.play(PLAYED);
    const { spend, sales } = played.sums(WATCHED, WATCHED + PLAYED);
    return { way, spend, sales, profit: MARGIN * sales - spend, isScheduled: bids !== null };
  });
}

/** The hours of the week as a seller can see them: with all the orders that have come in by now. @param weeks looked at; left out: all */
export function cellsOf({ days, books, today }: PlayedMarket, weeks?: number): HourCells {
  const at = new Map(books.campaigns.map(({ id }, place) => [id, place]));
  const rows = {
    campaign: [] as number[],
    cell: [] as number[],
    clicks: [] as number[],
    orders: [] as number[],
  };
  const add = (campaignId: string, day: string, hour: number, clicks: number, orders: number) => {
    rows.campaign.push(at.get(campaignId)!);
    rows.cell.push(weekdayOf(day) * HOURS + hour);
    rows.clicks.push(clicks);
    rows.orders.push(orders);
  };
  for (const { day, hours, late } of weeks === undefined ? days : days.slice(-7 * weeks)) {
    for (const { campaignId, hour, clicks, orders } of hours) add(campaignId, day, hour, clicks, orders);
    for (const { campaignId, hour, arrives } of late) if (arrives < today) add(campaignId, day, hour, 0, 1);
  }
  return hourCells(rows);
}

/** Bid after / bid before by cell, as many clicks as before on average; null: nothing is scheduled. */
function bidsOf(way: HourWay, cells: HourCells): number[] | null {
  const { orders, expected, clicks } = cells;
  const each = (of: (cell: number) => number) => Array.from({ length: CELLS }, (_, cell) => of(cell));
  switch (way) {
    case 'none':
      return null;
    case 'mowing': {
      const rhythm = rhythmOf(cells);
      const worth = hoursWorth(cells, rhythm);
      if (!worth.isWorthIt) return null;
      const { week } = proposeWeek({ clicks, spend: clicks, factor: rhythm.factor }, worth, false);
      return week.map((percent) => 1 + percent / 100);
    }
    case 'naive cells':
      return evened(
        each((cell) =>
          expected[cell] > 0 ? Math.min(MOST, Math.max(LEAST, orders[cell] / expected[cell])) : 1,
        ),
        clicks,
      );
    case 'worst day off': {
      const rate = Array.from({ length: 7 }, (_, day) => {
        const sum = (list: Float64Array) =>
          list.subarray(day * HOURS, (day + 1) * HOURS).reduce((all, one) => all + one, 0);
        return sum(orders) / Math.max(1, sum(expected));
      });
      const worst = rate.indexOf(rate.reduce((a, b) => Math.min(a, b), Infinity));
      return each((cell) => (Math.floor(cell / HOURS) === worst ? 0 : 1));
    }
    case 'nights off':
      return each((cell) => (cell % HOURS < 6 ? 0 : 1));
  }
}

/** Brought to 1 on average over clicks: the spend is to stay about as it was. */
function evened(bids: number[], clicks: Float64Array): number[] {
  const all = clicks.reduce((sum, one) => sum + one, 0);
  const mean = bids.reduce((sum, one, cell) => sum + one * clicks[cell], 0) / all;
  return bids.map((one) => one / mean);
}

function schedule(market: PlayedMarket, bids: readonly number[]): void {
  const { campaigns, schedules } = market.books;
  const week = bids.map((bid) => Math.round(100 * (bid - 1)));
  for (const { id: campaignId } of campaigns)
    schedules.push({
      id: campaignId,
      campaignId,
      name: 'trial',
      week,
      state: 'enabled',
    } satisfies SimSchedule);
}
