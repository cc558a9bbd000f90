import type { Micros } from '../units';

/** A campaign among those that share a total. Micros a day. */
export interface Sharer {
  budget: Micros;
  need: Micros;
  /** The market's least and largest budget. */
  least: Micros;
  most: Micros;
  /** Keeps its budget, whatever the others need. */
  isLocked: boolean;
}

/** Smaller moves (shares of the budget) are not made. */
const LEAST_MOVE = 0.1;

/**
 * Shares a total out by what is needed. Where the needs fit, those below theirs are raised to it and the others give by what they have
 * beyond it; else each gets its need x total / sum of needs. What would move by under a tenth stays. The sum is the total to the step, or
 * as near as limits and locks let it be.
 * @param step of budgets, micros
 */
export function shareOut(sharers: readonly Sharer[], total: Micros, step: Micros): Micros[] {
  const isFixed = sharers.map(({ isLocked }) => isLocked);
  for (let round = 0; ; round += 1) {
    const budgets = atLimits(sharers, isFixed, total);
    const small = budgets.map(
      (to, at) =>
        !isFixed[at] && to !== sharers[at].budget && Math.abs(to / sharers[at].budget - 1) < LEAST_MOVE,
    );
    // What stays takes its money out of the total; the rest is shared out anew.
    if (round >= sharers.length || !small.some(Boolean))
      return onSteps(sharers, isFixed, budgets, total, step);
    const canMove = budgets.some((_, at) => !isFixed[at] && !small[at]);
    if (!canMove) return sharers.map(({ budget }) => budget);
    small.forEach((is, at) => (isFixed[at] ||= is));
  }
}

/** The shares within each campaign's limits: those at a limit stand there, the rest is shared among the others. */
function atLimits(sharers: readonly Sharer[], isFixed: readonly boolean[], total: Micros): Micros[] {
  const budgets = sharers.map(({ budget }) => budget);
  const isHeld = [...isFixed];
  for (;;) {
    const free = budgets.flatMap((_, at) => (isHeld[at] ? [] : [at]));
    const taken = budgets.reduce((sum, one, at) => sum + (isHeld[at] ? one : 0), 0);
    const next = shares(
      free.map((at) => sharers[at]),
      Math.max(0, total - taken),
    );
    let isOver = false;
    free.forEach((at, n) => {
      const { least, most } = sharers[at];
      budgets[at] = Math.min(most, Math.max(least, next[n]));
      if (budgets[at] !== next[n]) isHeld[at] = isOver = true;
    });
    if (!isOver || free.length === 0) return budgets;
  }
}

function shares(list: readonly Sharer[], total: Micros): Micros[] {
  const sum = (of: (one: Sharer) => number) => list.reduce((all, one) => all + of(one), 0);
  const needs = sum(({ need }) => need);
  if (needs <= 0) return list.map(({ budget }) => budget);
  if (total < needs) return list.map(({ need }) => (need * total) / needs);
  const spare = sum(({ budget, need }) => Math.max(0, budget - need));
  // More money than anybody has now is given to nobody who does not need it.
  const kept = spare > 0 ? Math.min(1, (total - needs) / spare) : 0;
  return list.map(({ budget, need }) => need + kept * Math.max(0, budget - need));
}

/** Rounded down to the step; what is left over goes, step by step, to those that lost most by it. */
function onSteps(
  sharers: readonly Sharer[],
  isFixed: readonly boolean[],
  budgets: readonly Micros[],
  total: Micros,
  step: Micros,
): Micros[] {
  const rounded = budgets.map((one, at) => (isFixed[at] ? one : Math.floor(one / step + 1e-9) * step));
  const sum = rounded.reduce((all, one) => all + one, 0);
  const target = Math.min(total, budgets.reduce((all, one) => all + one, 0) + step / 2);
  let steps = Math.floor((target - sum) / step + 1e-9);
  const order = budgets
    .map((one, at) => ({ at, lost: one - rounded[at] }))
    .filter(({ at }) => !isFixed[at] && rounded[at] + step <= sharers[at].most)
    .sort((a, b) => b.lost - a.lost || a.at - b.at);
  for (const { at } of order) {
    if (steps <= 0) break;
    rounded[at] += step;
    steps -= 1;
  }
  return rounded;
}
