import type { AccountObservations, BidFeed, BidObservations } from '../../core/bids';
import { findDry } from '../../core/budgets';
import type { RanDry } from '../../core/budgets';
import { pickNumbers, rowsKnown } from '../../core/order';
import type { Numbers } from '../../core/order';
import { dayNumber } from '../../core/units';
import type { Micros } from '../../core/units';

const WEEK = 7;

/** When campaigns ran out of money, by their hours and the budgets of those days. */
export function ranDryOf(feed: BidFeed, { observations, campaignIds }: AccountObservations): RanDry {
  const { openDays, nearHours, byHour, today } = feed;
  const at = new Map(Array.from(campaignIds, (id, place) => [id, place]));
  const even = new Set(feed.evenPaced);
  const rowsOf = ({ campaignId }: { campaignId: Numbers }) => {
    const { rows, place } = rowsKnown(campaignId, at);
    return { campaign: place, column: (list: Numbers) => pickNumbers(list, rows) };
  };
  const [days, hours] = [rowsOf(openDays), rowsOf(nearHours)];
  const history = historyOf(feed);
  const yesterday = dayNumber(today) - 1;
  return findDry(
    {
      campaign: days.campaign,
      age: days.column(openDays.age),
      clicks: days.column(openDays.clicks),
      byHour,
      hours: {
        campaign: hours.campaign,
        age: hours.column(nearHours.age),
        hour: hours.column(nearHours.hour),
        clicks: hours.column(nearHours.clicks),
        spend: hours.column(nearHours.spend),
      },
    },
    campaignIds.length,
    (campaign, age) => {
      const held = history.get(campaignIds[campaign])?.findLast(({ from }) => from <= yesterday - age);
      return held ? held.budget : observations.campaigns[campaign].budget;
    },
    (campaign) => even.has(campaignIds[campaign]),
  );
}

/** Budgets of each campaign by the day from which they stood. */
function historyOf({ budgetDays }: BidFeed): Map<number, { from: number; budget: Micros | null }[]> {
  const history = new Map<number, { from: number; budget: Micros | null }[]>();
  for (const { campaignId, day, budget } of budgetDays) {
    const list = history.get(campaignId) ?? [];
    list.push({ from: dayNumber(day), budget });
    history.set(campaignId, list);
  }
  return history;
}

/** What the engine is told of it: how many days each campaign was open, and on how many of the last week it ran dry. Nothing without hours. */
export function withOpenDays(observations: BidObservations, { campaigns }: RanDry): BidObservations {
  if (campaigns.every(({ days }) => days === 0)) return observations;
  return {
    ...observations,
    openDays: Float64Array.from(campaigns, (one) => one.openDays),
    dryShare: campaigns.map(({ dry }, at) =>
      observations.campaigns[at].budget === null ? null : dry.filter(({ age }) => age < WEEK).length / WEEK,
    ),
  };
}
