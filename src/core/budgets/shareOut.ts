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

/** Smaller moves (shares of the budget) are not made where they need not be. */
const LEAST_MOVE = 0.1;

/**
 * Shares a total out by what is needed. Where the needs fit, those below theirs are raised to it and others give in proportion to what they
 * have beyond it, those with most to give first, so that few move; else each gets its need x total / sum of needs. The sum is the total to
 * the step, or as near as limits and locks let it be.
 * @param step of budgets, micros
 */
export function shareOut(sharers: readonly Sharer[], total: Micros, step: Micros): Micros[] {
  const free = sharers.flatMap(({ isLocked }, at) => (isLocked ? [] : [at]));
  const budgets = sharers.map(({ budget }) => budget);
  if (free.length === 0) return budgets;
  const locked = sum(sharers.map(({ isLocked, budget }) => (isLocked ? budget : 0)));
  const list = free.map((at) => within(sharers[at]));
  const left = Math.max(0, total - locked);
  const next = sum(list.map(({ need }) => need)) <= left ? byGiving(list, left) : inProportion(list, left);
  onSteps(list, next, left, step).forEach((to, at) => (budgets[free[at]] = to));
  return budgets;
}

const sum = (list: readonly number[]) => list.reduce((all, one) => all + one, 0);

/** Nobody needs less than the market's least, nor more than its most. */
const within = (one: Sharer): Sharer => ({ ...one, need: Math.min(one.most, Math.max(one.least, one.need)) });

/** There is enough: those in need are raised, the others give. */
function byGiving(list: readonly Sharer[], total: Micros): Micros[] {
  const isNeedy = list.map(({ budget, need }) => need > budget * (1 + LEAST_MOVE));
  const before = sum(list.map(({ budget }) => budget));
  const raised = sum(list.map(({ budget, need }, at) => (isNeedy[at] ? need - budget : 0)));
  const wanted = Math.max(0, before + raised - total);
  const spare = list.map(({ budget, need }, at) => (isNeedy[at] ? 0 : Math.max(0, budget - need)));
  // Those with most beyond their need, as a share of their budget, come first.
  const givers = spare
    .map((_, at) => at)
    .filter((at) => spare[at] > 0)
    .sort((a, b) => spare[b] / list[b].budget - spare[a] / list[a].budget || a - b);
  let count = givers.length;
  const spareUpTo = new Float64Array(givers.length + 1);
  givers.forEach((at, place) => (spareUpTo[place + 1] = spareUpTo[place] + spare[at]));
  const part = (many: number) => wanted / spareUpTo[many];
  // One giver less, as long as the last would give little and the others have enough.
  while (
    count > 1 &&
    part(count) * spare[givers[count - 1]] < LEAST_MOVE * list[givers[count - 1]].budget &&
    spareUpTo[count - 1] >= wanted
  )
    count -= 1;
  const given = count > 0 && wanted > 0 ? Math.min(1, part(count)) : 0;
  const gives = new Set(givers.slice(0, count));
  return list.map(({ budget, need }, at) => {
    if (isNeedy[at]) return need;
    return gives.has(at) ? budget - given * spare[at] : budget;
  });
}

/** There is too little: each gets its share of what it needs; those at a limit stand there. */
function inProportion(list: readonly Sharer[], total: Micros): Micros[] {
  const budgets = list.map(({ budget }) => budget);
  const isHeld = list.map(() => false);
  for (;;) {
    const open = list.flatMap((_, at) => (isHeld[at] ? [] : [at]));
    const left = Math.max(0, total - sum(budgets.filter((_, at) => isHeld[at])));
    const needs = sum(open.map((at) => list[at].need));
    let isDone = true;
    for (const at of open) {
      const { least, most, need } = list[at];
      const to = needs > 0 ? (need * left) / needs : 0;
      budgets[at] = Math.min(most, Math.max(least, to));
      if (budgets[at] !== to) {
        isHeld[at] = true;
        isDone = false;
      }
    }
    if (isDone || open.length === 0) return budgets;
  }
}

/** On the step, down; what is left over goes step by step to those that lost most by it. */
function onSteps(list: readonly Sharer[], budgets: readonly Micros[], total: Micros, step: Micros): Micros[] {
  const rounded = budgets.map((one, at) =>
    one === list[at].budget ? one : Math.floor(one / step + 1e-9) * step,
  );
  let over = Math.floor((Math.min(total, sum(budgets) + step / 2) - sum(rounded)) / step + 1e-9);
  const order = budgets
    .map((one, at) => ({ at, lost: one - rounded[at] }))
    .filter(({ at, lost }) => lost > 0 && rounded[at] + step <= list[at].most)
    .sort((a, b) => b.lost - a.lost || a.at - b.at);
  for (const { at } of order) {
    if (over <= 0) break;
    rounded[at] += step;
    over -= 1;
  }
  return rounded;
}
