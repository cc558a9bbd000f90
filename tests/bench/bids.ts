import { decideBids, prepareBids, USUAL_SETTINGS } from '../../src/core/bids';
import type { BidObservations } from '../../src/core/bids';
import { findDry, planBudgets } from '../../src/core/budgets';
import { USUAL_LIMITS } from '../../src/core/changes';
import { proposePlacements } from '../../src/core/placements';
import { median, say } from './timed';

const SIZES = [10_000, 100_000];
const ROUNDS = 3;
/** Days with a click of a target, on average; larger targets have more. */
const DAYS = 30;
const KINDS = ['exact', 'phrase', 'broad', 'item', 'close'];

/** An account of so many targets, some to a campaign, without a draw by lot: the same each time. */
function anAccount(size: number, perCampaign = 100): BidObservations {
  const campaigns = Math.ceil(size / perCampaign);
  const rowsOf = (target: number) => 1 + ((target * 7919) % (2 * DAYS - 1));
  let rows = 0;
  for (let target = 0; target < size; target += 1) rows += rowsOf(target);
  const column = () => new Float64Array(rows);
  const days = {
    target: new Int32Array(rows),
    age: new Int32Array(rows),
    clicks: column(),
    spend: column(),
    orders: column(),
    sales: column(),
    bid: column().fill(NaN),
  };
  let at = 0;
  for (let target = 0; target < size; target += 1)
    for (let row = 0; row < rowsOf(target); row += 1, at += 1) {
      days.target[at] = target;
      days.age[at] = (row * 11 + target) % 150;
      days.clicks[at] = 1 + ((target + row) % 5);
      days.spend[at] = days.clicks[at] * (250_000 + (target % 50) * 10_000);
      days.orders[at] = (target * 31 + row * 17) % 40 === 0 ? 1 : 0;
      days.sales[at] = days.orders[at] * 30_000_000;
    }
  const places = campaigns * 3 * 90;
  const ofPlace = (part: (index: number) => number) =>
    Float64Array.from({ length: places }, (_, i) => part(i));
  return {
    completion: [0.6, 0.8, 0.9],
    products: Array.from({ length: 200 }, () => ({ price: 30_000_000, margin: 0.4 })),
    campaigns: Array.from({ length: campaigns }, () => ({
      budget: 50_000_000,
      modifiers: [0.2, 0, 0] as [number, number, number],
    })),
    scopes: [{ targetAcos: 0.24 }],
    targets: Array.from({ length: size }, (_, target) => ({
      campaign: Math.floor(target / perCampaign),
      product: target % 200,
      scope: 0,
      kind: KINDS[target % KINDS.length],
      bid: 300_000 + (target % 90) * 10_000,
      isRunning: true,
      change: null,
      before: null,
    })),
    testsUsed: 0,
    days,
    placements: {
      campaign: Int32Array.from({ length: places }, (_, i) => Math.floor(i / 270)),
      placement: Int32Array.from({ length: places }, (_, i) => i % 3),
      age: Int32Array.from({ length: places }, (_, i) => Math.floor(i / 3) % 90),
      clicks: ofPlace((i) => 3 + (i % 7)),
      spend: ofPlace((i) => (3 + (i % 7)) * 400_000),
      orders: ofPlace((i) => (i % 9 === 0 ? 1 : 0)),
    },
  };
}

/** What any engine has to do at least: go over every day once and sum it up by target. */
function sumUp({ days, targets }: BidObservations): number {
  const [clicks, spend, orders, sales] = Array.from({ length: 4 }, () => new Float64Array(targets.length));
  for (let row = 0; row < days.target.length; row += 1) {
    const target = days.target[row];
    clicks[target] += days.clicks[row];
    spend[target] += days.spend[row];
    orders[target] += days.orders[row];
    sales[target] += days.sales[row];
  }
  return clicks[0] + spend[0] + orders[0] + sales[0];
}

function seconds(work: () => unknown): number {
  const start = performance.now();
  work();
  return (performance.now() - start) / 1000;
}

const CAMPAIGNS = 3000;

/** Bids, modifiers and budgets of a large account as one plan. */
function benchJoint(): void {
  const size = 100_000;
  const account = anAccount(size, Math.ceil(size / CAMPAIGNS));
  const count = account.campaigns.length;
  const days = count * 60;
  const column = (of: (index: number) => number) => Float64Array.from({ length: days }, (_, i) => of(i));
  /** Every third campaign comes near its budget, half of them paced over the day. */
  const near = Math.floor(count / 3);
  const hours = near * 28 * 24;
  const hourly = (of: (index: number) => number) => Float64Array.from({ length: hours }, (_, i) => of(i));
  const open = {
    campaign: column((i) => Math.floor(i / 60)),
    age: column((i) => i % 60),
    clicks: column((i) => 20 + (i % 9)),
    byHour: new Array<number>(24).fill(days),
    hours: {
      campaign: hourly((i) => 3 * Math.floor(i / (28 * 24))),
      age: hourly((i) => Math.floor(i / 24) % 28),
      hour: hourly((i) => i % 24),
      clicks: hourly((i) => (i * 7) % 3),
      spend: hourly((i) => ((i * 7) % 3) * 1_900_000),
    },
  };
  const times = Array.from({ length: ROUNDS }, () =>
    seconds(() => {
      const dry = findDry(
        open,
        count,
        () => 40_000_000,
        (campaign) => campaign % 2 === 0,
      );
      const prepared = prepareBids({
        ...account,
        openDays: Float64Array.from(dry.campaigns, (one) => one.openDays),
      });
      proposePlacements(prepared, USUAL_SETTINGS);
      const budgets = planBudgets(
        prepared,
        USUAL_SETTINGS,
        account.campaigns.map(({ budget }) => ({ budget, isRunning: true, locked: null })),
        { means: 'sum stays', sum: count * 50_000_000 },
        dry,
        USUAL_LIMITS,
      );
      decideBids(prepared, { ...USUAL_SETTINGS, mostMultiplier: budgets.multiplier });
    }),
  );
  say(
    `bids, modifiers, budgets     ${median(times).toFixed(2)} s for ${size.toLocaleString('en-GB')} targets in ${count.toLocaleString('en-GB')} campaigns   (bar: under 2.5 s)`,
  );
}

/** Proposals for all targets of an account, beside one pass over its days; and another pace, which prepares nothing anew. */
export function benchBids(): void {
  const whole: number[] = [];
  for (const size of SIZES) {
    const account = anAccount(size);
    const times = Array.from({ length: ROUNDS }, () => {
      const pass = seconds(() => sumUp(account));
      let prepared: ReturnType<typeof prepareBids> | undefined;
      const first = seconds(() => {
        prepared = prepareBids(account);
        decideBids(prepared, USUAL_SETTINGS);
      });
      const again = seconds(() => decideBids(prepared!, { ...USUAL_SETTINGS, step: { down: 0.1, up: 0.1 } }));
      return { pass, first, again };
    });
    const [pass, first, again] = (['pass', 'first', 'again'] as const).map((key) =>
      median(times.map((one) => one[key])),
    );
    whole.push(first);
    const rows = account.days.target.length.toLocaleString('en-GB');
    say(
      `bids, ${size.toLocaleString('en-GB')} targets  ${first.toFixed(2)} s for ${rows} days   (bar: under 2 s for 100,000)`,
    );
    say(`bids / a pass over the days  ${(first / pass).toFixed(1)}`);
    say(`another pace / the first     ${(again / first).toFixed(2)}`);
  }
  say(`ten times the targets        ${(whole[1] / whole[0]).toFixed(1)} times the time   (bar: linear, 10)`);
  benchJoint();
}
