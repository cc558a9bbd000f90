import { budgetStepOf, shareOut } from '../budgets';
import type { MarketLimits } from '../changes';
import { formatMoney, formatShare, roundDownToStep } from '../units';
import type { Micros } from '../units';
import type { GrowthCampaign, GrowthPlan } from './plan';

/** A budget that moves. Micros a day. */
export interface GrowthBudget {
  campaign: number;
  from: Micros;
  to: Micros;
  reason: string;
}

/** What the money of a plan does in a night. */
export interface GrowthMoney {
  budgets: GrowthBudget[];
  /** What the budgets that could be spent come to now, and what is free for new ones. Micros a day. */
  now: Micros;
  free: Micros;
  /** What waits for what. */
  waits: string[];
}

/** Budgets stand on their market's step (`budgetStepOf`) and within its limits. */
type BudgetLimits = Pick<MarketLimits, 'minBudget' | 'maxBudget' | 'bidStep'>;

/** How far a budget moves in a night, unless the total itself asks for more. */
const STEP = { down: 0.5, up: 1 };
/** Smaller moves (shares) are not worth a change. */
const LEAST_MOVE = 0.1;

/** What the first stage may spend a day: its share of the total, within its cap, on a budget's step; 0 while it is off. */
export const findMoney = ({ total, find }: GrowthPlan, limits: Pick<MarketLimits, 'bidStep'>): Micros =>
  find.isOn ? roundDownToStep(Math.min(find.cap ?? Infinity, total * find.share), budgetStepOf(limits)) : 0;

/**
 * Budgets of a plan's campaigns. The first stage shares its part alike; the others share the rest by need (the method of budgets). Never beyond the
 * total, whatever of it is refused: what is raised tonight is paid from what is free already, and what is lowered tonight is free tomorrow.
 */
export function planMoney(
  plan: GrowthPlan,
  campaigns: readonly GrowthCampaign[],
  limits: BudgetLimits,
): GrowthMoney {
  const counted = campaigns.filter(({ isCounted }) => isCounted);
  const now = sum(counted.map(({ budget }) => budget));
  const wanted = wantedBudgets(plan, counted, now, limits);
  const asks = counted.flatMap((one, at) => {
    const [from, to] = [one.budget, one.isDraft ? one.budget : wanted[at]];
    const isWorthIt = Math.abs(to - from) >= LEAST_MOVE * from || (to < from && now > plan.total);
    return to !== from && isWorthIt ? [{ one, from, to }] : [];
  });
  const paid = payRaises(asks, Math.max(0, plan.total - now), limits);
  const budgets = asks.flatMap(({ one, from, to }, at): GrowthBudget[] =>
    paid[at] === from
      ? []
      : [
          {
            campaign: one.id,
            from,
            to: paid[at],
            reason: budgetWords({ plan, limits }, one, paid[at], to, now),
          },
        ],
  );
  const [raises, given, lowered] = [
    sum(asks.map(({ from, to }) => Math.max(0, to - from))),
    sum(budgets.map(({ from, to }) => Math.max(0, to - from))),
    sum(budgets.map(({ from, to }) => Math.max(0, from - to))),
  ];
  const waiting = raises - given;
  return {
    budgets,
    now,
    free: Math.max(0, plan.total - now - given),
    waits:
      waiting <= asks.length * budgetStepOf(limits)
        ? []
        : [
            lowered > 0
              ? `${formatMoney(waiting)} a day of raises wait until what is lowered tonight is accepted.`
              : `${formatMoney(waiting)} a day of raises wait for money: the total is used up.`,
          ],
  };
}

interface Asked {
  from: Micros;
  to: Micros;
}

/** What budgets come to when raises are paid from the free money: what is new first, as far as it can begin at all; then all others alike. */
function payRaises(asks: readonly Asked[], free: Micros, limits: BudgetLimits): Micros[] {
  const step = budgetStepOf(limits);
  const paid = asks.map(({ from, to }) => (to < from ? to : from));
  let left = free;
  asks.forEach(({ from, to }, at) => {
    if (from > 0 || Math.min(to, left) < limits.minBudget) return;
    paid[at] = roundDownToStep(Math.min(to, left), step);
    left -= paid[at];
  });
  const raised = asks.map(({ from, to }) => (from > 0 ? Math.max(0, to - from) : 0));
  const part = sum(raised) > left ? left / sum(raised) : 1;
  raised.forEach((by, at) => {
    // On the step also from a budget that is not; a raise that would vanish is none.
    if (by > 0) paid[at] = Math.max(paid[at], roundDownToStep(paid[at] + by * part, step));
  });
  return paid;
}

function wantedBudgets(
  plan: GrowthPlan,
  counted: readonly GrowthCampaign[],
  now: Micros,
  limits: BudgetLimits,
): Micros[] {
  const { minBudget, maxBudget } = limits;
  const step = budgetStepOf(limits);
  const finds = plan.find.isOn ? counted.filter(({ stage, isRunning }) => stage === 'find' && isRunning) : [];
  const each = roundDownToStep(findMoney(plan, limits) / Math.max(1, finds.length), step);
  const ofFind = Math.min(maxBudget, Math.max(minBudget, each));
  const others = counted.filter((one) => !finds.includes(one));
  const rest = Math.max(0, plan.total - ofFind * finds.length);
  const isOver = now > plan.total;
  const shared = shareOut(
    others.map(({ budget, need, stage, isRunning, isDraft }) => {
      const isMovable = isRunning && plan[stage].isOn && plan.grow.isOn && need !== null;
      return {
        budget,
        need: isMovable ? need : budget,
        least: isOver ? minBudget : isMovable ? Math.max(minBudget, budget * (1 - STEP.down)) : budget,
        // What is new begins with what it needs.
        most: isMovable ? Math.min(maxBudget, budget > 0 ? budget * (1 + STEP.up) : need) : budget,
        // Above the total everybody gives, whatever is known.
        isLocked: isDraft || (!isOver && !isMovable),
      };
    }),
    rest,
    step,
  );
  const at = new Map(others.map(({ id }, place) => [id, shared[place]]));
  return counted.map(({ id }) => at.get(id) ?? ofFind);
}

function budgetWords(
  { plan, limits }: { plan: GrowthPlan; limits: BudgetLimits },
  { stage, budget, need, spend, sales, days }: GrowthCampaign,
  to: Micros,
  wanted: Micros,
  now: Micros,
): string {
  const moved = `${formatMoney(budget)} to ${formatMoney(to)} a day`;
  if (stage === 'find')
    return `${moved}: its part of the ${formatMoney(findMoney(plan, limits))} a day that finding may spend of ${formatMoney(plan.total)}.`;
  if (now > plan.total && to < budget)
    return `${moved}: the plan’s campaigns come to ${formatMoney(now)} a day, and ${formatMoney(plan.total)} is its total.`;
  const does = sales > 0 ? ` at an ACOS of ${formatShare(spend / sales)} in ${days} days` : '';
  const asked = `${moved}: its clicks need ${formatMoney(need ?? budget)} a day${does}`;
  if (to > budget && to < wanted) return `${asked}; more follows when money is free.`;
  return to > budget
    ? `${asked}, and of the money that there is the next of it sells most here.`
    : `${asked}, and the others can use the rest.`;
}

const sum = (list: readonly number[]) => list.reduce((all, one) => all + one, 0);
