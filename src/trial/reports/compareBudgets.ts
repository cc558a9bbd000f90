import type { Args } from '../args';
import { BUDGET_WAYS, lieWrong, withBudgets } from '../budgetPolicies';
import type { BudgetWorld } from '../budgetPolicies';
import { playMissed } from '../missed';
import type { PlayedMiss } from '../missed';
import { runTrial, trialScenario } from '../runTrial';
import { cell, money, say, scoreOf, share, total } from './print';

/** What campaigns whose budgets lie wrong are told to have missed, beside what they miss when each has money enough. */
export function compareMissed({ seeds, market, world }: Args, budgets: BudgetWorld) {
  const played = seeds.flatMap((seed) => playMissed(seed, budgets, market, world));
  const sum = (of: (one: PlayedMiss) => number) => played.reduce((all, one) => all + of(one), 0);
  const [told, missed] = [sum((one) => one.told.sales), sum((one) => one.missed)];
  const held = played.filter(({ told: { low, high }, missed: one }) => low <= one && one <= high).length;
  say(
    `\nMissed sales in 28 days, ${played.length} campaigns: played ${money(missed)}, told ${money(told)} (${share(told / missed - 1)}); the 80 % interval holds ${share(held / played.length)}.`,
  );
}

/** What moving money brings: the same bids with budgets left, moved by a simple rule, by the plan, or held as money. */
export function compareBudgets(
  { weeks, pace, seeds, market, world, money: asMoney }: Args,
  budgets: BudgetWorld,
) {
  const target = trialScenario(0, market, world).targetAcos;
  const ways = BUDGET_WAYS.filter((way) => way !== 'money' || asMoney);
  say(
    `${seeds.length} markets (${market}, ${world}), ${weeks} weeks, budgets ${budgets}, target ACOS ${share(target)}.`,
  );
  say(
    cell('', 18) +
      ['spend', 'sales', 'ACOS', 'profit', 'sales ±', 'profit ±', 'score', 'won']
        .map((text) => cell(text))
        .join(''),
  );
  const results = ways.map((way) => {
    const bySeed = seeds.map((seed) =>
      total(
        runTrial(seed, weeks, withBudgets(way, pace), market, world, (played) => lieWrong(played, budgets)),
      ),
    );
    return { way, whole: total(bySeed), scores: bySeed.map((one) => scoreOf(one, target)) };
  });
  const [left] = results;
  const sum = (list: number[]) => list.reduce((all, one) => all + one, 0);
  for (const { way, whole, scores } of results)
    say(
      way.padEnd(18) +
        [
          money(whole.spend),
          money(whole.sales),
          share(whole.acos),
          money(whole.profit),
          share(whole.sales / left.whole.sales - 1),
          share(whole.profit / left.whole.profit - 1),
          ((100 * sum(scores)) / sum(left.scores)).toFixed(1),
          `${scores.filter((score, at) => score > left.scores[at]).length}/${seeds.length}`,
        ]
          .map((text) => cell(text))
          .join(''),
    );
}
