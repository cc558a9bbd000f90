import { USUAL_SETTINGS } from '../../core/bids';
import type { Args } from '../args';
import { withBudgets } from '../budgetPolicies';
import { doNothing, mowing, ratio } from '../policies';
import type { Policy } from '../policies';
import { runTrial, trialScenario } from '../runTrial';
import { cell, money, say, scoreOf, share, total } from './print';

type Way = readonly [name: string, every: number, make: () => Policy];

/** Who decides, and how often. */
const WAYS: readonly Way[] = [
  ['do nothing', 7, doNothing],
  ['a formula, nightly', 1, ratio],
  ['careful, weekly', 7, () => mowing('careful')],
  ['steady, weekly', 7, () => mowing('steady')],
  ['rules, nightly', 1, () => mowing('steady')],
  ['  and budgets', 1, () => withBudgets('plan')],
  // The guard that every change meets: what was changed waits until something is known of it.
  ...[7, 3, 0].map((settledDays): Way => [
    `  waiting ${settledDays} days`,
    1,
    () => mowing('steady', 'grow', undefined, { hold: { ...USUAL_SETTINGS.hold, settledDays } }),
  ]),
];

/** Rules by night against doing nothing, a formula by night and somebody who looks once a week; the late orders are in. */
export function compareStanding({ weeks, seeds, market, world }: Args): void {
  const { targetAcos: target } = trialScenario(0, market, world);
  say(
    `${seeds.length} markets (${market}, ${world}), ${weeks} weeks, target ACOS ${share(target)}; sums over all markets.`,
  );
  say(
    cell('', 20) +
      ['spend', 'sales', 'ACOS', 'profit', 'sales ±', 'profit ±', 'score'].map((text) => cell(text)).join(''),
  );
  let nothing: ReturnType<typeof total> | undefined;
  for (const [name, every, make] of WAYS) {
    const lists = seeds.map((seed) => runTrial(seed, weeks, make(), market, world, undefined, every));
    const all = total(lists.flat());
    nothing ??= all;
    const score = lists.reduce((sum, list) => sum + scoreOf(total(list), target), 0);
    say(
      name.padEnd(20) +
        [
          money(all.spend),
          money(all.sales),
          share(all.acos),
          money(all.profit),
          share(all.sales / nothing.sales - 1),
          share(nothing.profit > 0 ? all.profit / nothing.profit - 1 : null),
          money(score),
        ]
          .map((text) => cell(text))
          .join(''),
    );
  }
}
