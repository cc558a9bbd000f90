import { addDays, dayNumber, formatCount, formatDay, formatMoney, formatShare } from '../units';
import type { Day, Micros } from '../units';
import { fundsEnd } from './fundsEnd';
import { monthPace } from './monthPace';

/** Something about an account's money that is to be looked after. */
export interface MoneyWarning {
  kind: 'funds' | 'over pace' | 'under pace' | 'lifetime budget' | 'small budget' | 'no end';
  sentence: string;
  /** Told on every page, not in the overview alone. */
  isUrgent: boolean;
}

/** A running campaign as far as its money goes. Micros. */
export interface PacedCampaign {
  name: string;
  budget: Micros | null;
  budgetKind: 'daily' | 'lifetime' | null;
  endsOn: Day | null;
  /** Spent since it began, and a day over the last 28. */
  spent: Micros;
  perDay: Micros;
  /** Cost per click over these days; 0: no click. */
  cpc: Micros;
}

export interface MoneyOfAccount {
  currency: string;
  /** Prepaid money left; null where the market bills afterwards. */
  funds: Micros | null;
  /** Spend by day, of the month and the weeks before; the last day with data. */
  amounts: ReadonlyMap<Day, Micros>;
  last: Day;
  /** What the present month may spend; null: not said. */
  goal: Micros | null;
  campaigns: readonly PacedCampaign[];
}

/** Funds that last no longer are told everywhere. */
const SOON_DAYS = 14;
/** So far from what should be spent by now is off the pace; in the first days of a month nothing is. */
const [OVER, UNDER, LEAST_DAYS] = [1.1, 0.85, 5];
/** A budget that pays for fewer clicks is no budget. */
const CLICKS = 2;

/** Everything about an account's money that is to be looked after, the most urgent first. */
export function moneyWarnings(account: MoneyOfAccount): MoneyWarning[] {
  return [...fundsWarning(account), ...paceWarning(account), ...ofCampaigns(account)];
}

function fundsWarning({ funds, amounts, last, currency }: MoneyOfAccount): MoneyWarning[] {
  if (funds === null) return [];
  if (funds <= 0)
    return [
      {
        kind: 'funds',
        isUrgent: true,
        sentence: 'The prepaid funds are gone: no ad is shown. Top them up on the market.',
      },
    ];
  const end = fundsEnd(amounts, last, funds);
  if (!end) return [];
  const { on, earliest, latest, perDay } = end;
  const isUrgent = dayNumber(earliest) - dayNumber(last) <= SOON_DAYS;
  const between = earliest === latest ? '' : ` (${formatDay(earliest)} to ${formatDay(latest)})`;
  return [
    {
      kind: 'funds',
      isUrgent,
      sentence: `Prepaid funds of ${formatMoney(funds)} ${currency} last until about ${formatDay(on)}${between}, at ${formatMoney(perDay)} a day.`,
    },
  ];
}

function paceWarning({ amounts, last, goal, currency }: MoneyOfAccount): MoneyWarning[] {
  const { pace, forecast, daysGone } = monthPace(amounts, last, goal);
  if (pace === null || forecast === null || goal === null || daysGone < LEAST_DAYS) return [];
  if (pace <= OVER && pace >= UNDER) return [];
  const isOver = pace > OVER;
  return [
    {
      kind: isOver ? 'over pace' : 'under pace',
      isUrgent: isOver,
      sentence: `Spend is ${isOver ? 'ahead of' : 'behind'} its month, at ${formatShare(pace, 0)} of what should be spent by now: it comes to about ${formatMoney(forecast)} of ${formatMoney(goal)} ${currency}${isOver ? `, and the money is gone about ${formatDay(goneOn(amounts, last, goal))}` : ''}.`,
    },
  ];
}

/** The day on which a month's money is gone at the present rate. */
function goneOn(amounts: ReadonlyMap<Day, Micros>, last: Day, goal: Micros): Day {
  const { done, daysGone } = monthPace(amounts, last, goal);
  const rate = done / daysGone;
  return addDays(last, Math.max(0, Math.ceil((goal - done) / rate)));
}

function ofCampaigns({ campaigns, last, currency }: MoneyOfAccount): MoneyWarning[] {
  const early = campaigns.flatMap((one) => {
    const { budget, budgetKind, endsOn, spent, perDay } = one;
    if (budgetKind !== 'lifetime' || budget === null || endsOn === null || perDay <= 0) return [];
    const on = addDays(last, Math.ceil((budget - spent) / perDay));
    return on < endsOn ? [{ ...one, on, endsOn }] : [];
  });
  const small = campaigns.filter(
    ({ budget, budgetKind, cpc }) =>
      budgetKind === 'daily' && budget !== null && cpc > 0 && budget < CLICKS * cpc,
  );
  const endless = campaigns.filter(({ endsOn }) => endsOn === null);
  return [
    ...early.slice(0, 3).map(({ name, on, endsOn }): MoneyWarning => ({
      kind: 'lifetime budget',
      isUrgent: true,
      sentence: `The lifetime budget of “${name}” is gone about ${formatDay(on)}, before it ends on ${formatDay(endsOn)}.`,
    })),
    ...(small.length === 0
      ? []
      : [
          {
            kind: 'small budget' as const,
            isUrgent: false,
            sentence: `${some(small.map(({ name }) => name))} ${small.length === 1 ? 'has a budget' : 'have budgets'} of under ${CLICKS} clicks a day, the least ${formatMoney(small.reduce((least, { budget }) => Math.min(least, budget!), Infinity))} ${currency}.`,
          },
        ]),
    ...(endless.length === 0
      ? []
      : [
          {
            kind: 'no end' as const,
            isUrgent: false,
            sentence: `${formatCount(endless.length)} running ${endless.length === 1 ? 'campaign has' : 'campaigns have'} no end date.`,
          },
        ]),
  ];
}

/** The first few of some names. */
function some(names: readonly string[]): string {
  const first = names.slice(0, 2).map((name) => `“${name}”`);
  return names.length > 2
    ? `${first.join(', ')} and ${formatCount(names.length - 2)} more`
    : first.join(' and ');
}
