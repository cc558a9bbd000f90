import { estimateTrial, isOnWeek } from '../core/trials';
import type { TrialWeek } from '../core/trials';
import { ENDLESS } from './missed';
import { PlayedMarket } from './playedMarket';
import type { WeekSums } from './playedMarket';
import { trialScenario } from './runTrial';
import type { Market } from './runTrial';

/** How a trial by weeks measured what is known, because the same weeks were played all on and all off too. Shares. */
export interface PlayedTrial {
  /** What the changes did to ad sales in truth: all weeks on against all weeks off, less what the other campaigns did. */
  truth: number;
  told: number;
  holds: boolean;
  /** Whether zero lies out of the interval that counts looking each week. */
  isSure: boolean;
}

const DAYS = 7;
const WATCHED = 28;
const WEEKS = 8;

/** Plays a trial by weeks of bids that the campaigns of half of the products have moved by a percentage around the clock. */
export function playTrial(seed: number, percent: number, kind: Market = 'small'): PlayedTrial {
  const plain = trialScenario(seed, kind);
  const market = new PlayedMarket({ ...plain, days: WATCHED });
  for (const campaign of market.books.campaigns) campaign.budget = ENDLESS;
  market.play(WATCHED);
  const campaigns = halfOf(market);
  const played = (isOn: (week: number) => boolean) => {
    const one = market.copy();
    for (let week = 0; week < WEEKS; week += 1) {
      one.books.schedules.length = 0;
      if (isOn(week)) schedule(one, campaigns, percent);
      one.play(DAYS);
    }
    return Array.from({ length: WEEKS }, (_, week) => ({
      isOn: isOn(week),
      ...weekOf(one, campaigns, WATCHED + DAYS * week),
    }));
  };
  const sales = (weeks: readonly TrialWeek[], whose: 'own' | 'others') =>
    weeks.reduce((sum, one) => sum + one[whose].sales, 0);
  const [on, off] = [played(() => true), played(() => false)];
  const truth =
    Math.log(sales(on, 'own') / sales(off, 'own')) - Math.log(sales(on, 'others') / sales(off, 'others'));
  const { effects, z, bound } = estimateTrial(played(isOnWeek), WEEKS);
  const { effect, low, high } = effects.sales!;
  return {
    truth: Math.exp(truth) - 1,
    told: effect,
    holds: Math.exp(truth) - 1 >= low && Math.exp(truth) - 1 <= high,
    isSure: Math.abs(z) >= bound,
  };
}

/** The campaigns of half of the products: whatever they give up, no other campaign of their products takes. */
function halfOf({ books, world }: PlayedMarket): Set<string> {
  const half = new Set(world.products.filter((_, at) => at % 2 === 0).map(({ id }) => id));
  const groups = new Map(books.adGroups.map(({ id, campaignId }) => [id, campaignId]));
  return new Set(
    books.ads.filter(({ productId }) => half.has(productId)).map(({ adGroupId }) => groups.get(adGroupId)!),
  );
}

function schedule({ books }: PlayedMarket, campaigns: ReadonlySet<string>, percent: number): void {
  const week = new Array<number>(24 * DAYS).fill(percent);
  for (const campaignId of campaigns)
    books.schedules.push({ id: campaignId, campaignId, name: 'trial', week, state: 'enabled' });
}

/** A week with every order that follows its clicks, of the campaigns of a trial and of the others. */
function weekOf({ days }: PlayedMarket, campaigns: ReadonlySet<string>, from: number) {
  const sums = { own: nothing(), others: nothing() };
  for (const { hours, late } of days.slice(from, from + DAYS)) {
    for (const { campaignId, clicks, orders, spend, sales } of hours) {
      const one = sums[campaigns.has(campaignId) ? 'own' : 'others'];
      one.clicks += clicks;
      one.orders += orders;
      one.spend += spend;
      one.sales += sales;
    }
    for (const { campaignId, sales } of late) {
      const one = sums[campaigns.has(campaignId) ? 'own' : 'others'];
      one.orders += 1;
      one.sales += sales;
    }
  }
  return sums;
}

const nothing = (): WeekSums => ({ clicks: 0, spend: 0, orders: 0, sales: 0 });
