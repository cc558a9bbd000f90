import type { BidSettings } from '../../core/bids';
import type { Args } from '../args';
import { mowing } from '../policies';
import { runTrial, trialScenario } from '../runTrial';
import { cell, money, say, scoreOf, share, total } from './print';

/** What the rules of waiting and of testing cost or bring: the score of each, 100 for none. */
export function compareWaits({ weeks, pace, seeds, market, world }: Args) {
  const target = trialScenario(0, market, world).targetAcos;
  const free: Partial<BidSettings> = {
    hold: { settledDays: 0, secondSteps: true },
    testing: { cap: Infinity, share: 0 },
  };
  const hold = (settledDays: number, secondSteps = true) => ({ ...free, hold: { settledDays, secondSteps } });
  const tests = (share: number) => ({ ...free, testing: { cap: null, share } });
  const rules: [name: string, over: Partial<BidSettings>][] = [
    ['none', free],
    ...[7, 10, 14, 28].map((days) => [`hold ${days} days`, hold(days)] as [string, Partial<BidSettings>]),
    ['hold 14, no second steps', hold(14, false)],
    ...[0, 0.005, 0.02, 0.05, 0.2].map(
      (part) => [`tests ${share(part)} of spend`, tests(part)] as [string, Partial<BidSettings>],
    ),
  ];
  let none = 0;
  for (const [name, over] of rules) {
    const whole = total(
      seeds.flatMap((seed) => runTrial(seed, weeks, mowing(pace, 'grow', undefined, over), market, world)),
    );
    const score = scoreOf(whole, target);
    none ||= score;
    say(
      `${name.padEnd(26)}${cell(share(whole.acos))}${cell(money(whole.sales))}${cell(((100 * score) / none).toFixed(1))}`,
    );
  }
}
