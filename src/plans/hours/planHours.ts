import type { MonthMoney, RunningSchedule, ScheduleRow, SchedulesAnswer } from '../../contract/schedules';
import {
  CELLS,
  firstCampaigns,
  hourCells,
  hoursWorth,
  proposeWeek,
  rhythmOf,
  rhythmWithin,
  SPEND_POWER,
  weekMoves,
} from '../../core/hours';
import type { HourCells, HourRows, HoursWorth, Rhythm, WeekProposal } from '../../core/hours';
import { largest } from '../../core/order';
import { readWeek, weekText } from '../../core/schedules';
import type { Week } from '../../core/schedules';
import { DAYS_PER_MONTH } from '../../core/units';

/** Hours of campaigns over whole weeks, as columns. Money in micros. */
export interface HourFigures extends HourRows {
  spend: ArrayLike<number>;
  sales: ArrayLike<number>;
}

/** What schedules are planned from. */
export interface HourParts {
  figures: HourFigures;
  weeks: number;
  raisesOnly: boolean;
  isOffered: boolean;
  campaigns: readonly { id: number; runs: boolean; products: number[] }[];
  running: readonly RunningSchedule[];
  /** Weeks that are kept by name: one that is proposed and kept has that name. */
  named: readonly { name: string; week: string }[];
  /** Campaigns that a trial switches. */
  inTrial: ReadonlySet<number>;
  /** What campaigns spend of their daily budget, shares; without one there is none. */
  used: ReadonlyMap<number, number>;
  /** Own bids by campaign, where schedules can only raise. */
  bids: ReadonlyMap<number, { targetId: number; bid: number }[]>;
  /** What a pattern is called that has no name yet. */
  newName: string;
}

/** A schedule that is followed already gives way to another that gains so much more, share of sales. */
const WORTH_CHANGING = 0.015;

/** A campaign's hours: its cells, spend by cell, and its sales. */
export interface CampaignHours {
  cells: HourCells;
  spend: Float64Array;
  sales: number;
}

/** The hours of each campaign. */
export function hoursByCampaign({ spend, sales, ...rows }: HourFigures): Map<number, CampaignHours> {
  const places = new Map<number, number[]>();
  for (let row = 0; row < rows.cell.length; row += 1) {
    const known = places.get(rows.campaign[row]);
    if (known) known.push(row);
    else places.set(rows.campaign[row], [row]);
  }
  const hours = new Map<number, CampaignHours>();
  for (const [campaign, at] of places) {
    const pick = (list: ArrayLike<number>) => at.map((row) => list[row]);
    const one: CampaignHours = {
      cells: hourCells({
        campaign: pick(rows.campaign),
        cell: pick(rows.cell),
        clicks: pick(rows.clicks),
        orders: pick(rows.orders),
      }),
      spend: new Float64Array(CELLS),
      sales: 0,
    };
    for (const row of at) {
      one.spend[rows.cell[row]] += spend[row];
      one.sales += sales[row];
    }
    hours.set(campaign, one);
  }
  return hours;
}

/** A month of a campaign as it is, and as it would be under a week; what it follows now is in what is known of it. */
export function monthsUnder(
  { spend, sales }: Pick<CampaignHours, 'spend' | 'sales'>,
  factor: ArrayLike<number>,
  weeks: number,
  week: Week,
  followed: Week | null,
): { now: MonthMoney; after: MonthMoney; off: MonthMoney; offHours: number } {
  const month = DAYS_PER_MONTH / (7 * weeks);
  const plain = followed ? withoutWeek(spend, followed) : spend;
  const moves = weekMoves(week, { spend: plain, sales, factor });
  const now = monthOf({ spend: plain, sales }, weeks);
  return {
    now,
    after: { spend: now.spend + moves.spend * month, sales: now.sales + moves.sales * month },
    off: { spend: moves.offSpend * month, sales: moves.offSales * month },
    offHours: moves.offHours,
  };
}

/** What hours would have spent without the week that was followed; hours that were off stay as they are: nothing tells. */
const withoutWeek = (spend: Float64Array, followed: Week): Float64Array =>
  spend.map((one, cell) => (followed[cell] <= -100 ? one : one / (1 + followed[cell] / 100) ** SPEND_POWER));

/** How many times as much as without it the hour spends that a week raises most. */
const mostSpend = (week: Week): number => (1 + largest(week) / 100) ** SPEND_POWER;

/** What a campaign spends and sells in a month. */
function monthOf({ spend, sales }: Pick<CampaignHours, 'spend' | 'sales'>, weeks: number): MonthMoney {
  const month = DAYS_PER_MONTH / (7 * weeks);
  return { spend: spend.reduce((sum, one) => sum + one, 0) * month, sales: sales * month };
}

/** What the hours propose: for the account, and campaign by campaign. */
export function planHours(
  parts: HourParts,
): Pick<SchedulesAnswer, 'worth' | 'proposal' | 'rows'> & { factorOf: (campaign: number) => Float64Array } {
  const { figures, weeks, raisesOnly, isOffered, campaigns, named, inTrial, used, newName, bids } = parts;
  const cells = hourCells(figures);
  const whole = rhythmOf(cells);
  const worth = hoursWorth(cells, whole);
  const spend = new Float64Array(CELLS);
  for (let row = 0; row < figures.cell.length; row += 1) spend[figures.cell[row]] += figures.spend[row];
  const proposal = proposeWeek({ clicks: cells.clicks, spend, factor: whole.factor }, worth, raisesOnly);
  const hours = hoursByCampaign(figures);
  // Where the hour that is raised most would spend more than an even share of the budget, money decides and not the bid.
  const held = new Set(
    [...used].flatMap(([id, share]) => (share * mostSpend(proposal.week) > 1 ? [id] : [])),
  );
  const running = new Map(parts.running.map((one) => [one.campaignId, one]));
  const first = new Set(
    firstCampaigns(
      new Map([...hours].flatMap(([id, one]) => (held.has(id) ? [] : [[id, one.cells] as const]))),
      whole,
    ).map(({ campaign }) => campaign),
  );
  const rhythms = new Map<number, { rhythm: Rhythm; isOwn: boolean }>();
  const rhythmFor = (campaign: number) => {
    let known = rhythms.get(campaign);
    const own = hours.get(campaign);
    if (!known) known = own ? rhythmWithin(whole, own.cells) : { rhythm: whole, isOwn: false };
    rhythms.set(campaign, known);
    return known;
  };
  const nameOf = (week: string, isOwn: boolean) =>
    named.find((one) => one.week === week)?.name ?? (isOwn ? `${newName}, own` : newName);
  const rows = campaigns.map(({ id, runs, products }): ScheduleRow => {
    const { rhythm, isOwn } = rhythmFor(id);
    const own = hours.get(id) ?? EMPTY;
    const [ownWorth, ownWeek] = isOwn ? ownProposal(own, rhythm, raisesOnly) : [worth, proposal];
    const week = weekText(ownWeek.week);
    const followed = running.get(id) ?? null;
    const now = monthOf(own, weeks);
    const row = {
      campaignId: id,
      products,
      orders: own.cells.orders.reduce((sum, one) => sum + one, 0),
      running: followed,
      isOwn,
      name: nameOf(week, isOwn),
      week,
      blocks: ownWeek.blocks,
      bases: ownWeek.bases,
      bids: bids.get(id) ?? [],
      now,
      // At the same ACOS: told is what the variance of the pattern promises.
      after: { spend: now.spend * (1 + ownWeek.gain), sales: now.sales * (1 + ownWeek.gain) },
      isHeld: held.has(id),
      isFirst: first.has(id),
    };
    const changes = followed && gainOver(own, rhythm, ownWeek.week, followed) >= WORTH_CHANGING;
    return {
      ...row,
      left: leftOf(row, {
        runs,
        inTrial: inTrial.has(id),
        isWorthIt: isOffered && ownWorth.isWorthIt,
        isBetter: changes === true,
      }),
    };
  });
  return {
    worth,
    proposal: { ...proposal, week: weekText(proposal.week) },
    rows,
    factorOf: (campaign) => rhythmFor(campaign).rhythm.factor,
  };
}

const EMPTY: CampaignHours = {
  cells: hourCells({ campaign: [], cell: [], clicks: [], orders: [] }),
  spend: new Float64Array(CELLS),
  sales: 0,
};

function leftOf(
  { running, now, week, isHeld }: Omit<ScheduleRow, 'left'>,
  at: Record<'runs' | 'inTrial' | 'isWorthIt' | 'isBetter', boolean>,
): ScheduleRow['left'] {
  if (at.inTrial) return 'in a trial';
  if (!at.runs) return 'not running';
  if (running && (running.week === week || !at.isWorthIt || !at.isBetter)) return 'follows one';
  if (!at.isWorthIt) return 'no pattern';
  if (isHeld) return 'held by money';
  return now.sales > 0 ? null : 'no sales';
}

function ownProposal(
  { cells, spend }: CampaignHours,
  { factor }: Rhythm,
  raisesOnly: boolean,
): [HoursWorth, WeekProposal] {
  const worth = hoursWorth(cells, { factor } as Rhythm);
  return [worth, proposeWeek({ clicks: cells.clicks, spend, factor }, worth, raisesOnly)];
}

/** By how much a week beats the one that is followed, share of sales at the same ACOS: how much closer it is to the pattern. */
function gainOver(
  { cells }: CampaignHours,
  { factor }: Rhythm,
  week: Week,
  followed: RunningSchedule,
): number {
  const other = readWeek(followed.week);
  if (!other) return 0;
  const off = (one: Week) => {
    let [all, sum, square] = [0, 0, 0];
    for (let cell = 0; cell < CELLS; cell += 1) {
      const apart = Math.log(Math.max(0.05, 1 + one[cell] / 100)) - Math.log(factor[cell]);
      all += cells.clicks[cell];
      sum += cells.clicks[cell] * apart;
      square += cells.clicks[cell] * apart * apart;
    }
    return all > 0 ? square / all - (sum / all) ** 2 : 0;
  };
  return 0.85 * (off(other) - off(week));
}
