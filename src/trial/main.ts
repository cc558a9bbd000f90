// npm run trial: runs the bid engine week by week on fresh stand-in markets, beside doing nothing and two spreadsheet methods.
import type { BidSettings } from '../core/bids';
import { readArgs } from './args';
import { bands, doNothing, mowing, ratio } from './policies';
import type { Policy } from './policies';
import { compareBudgets, compareMissed } from './reports/compareBudgets';
import { compareHours } from './reports/compareHours';
import { compareRules } from './reports/compareRules';
import { compareWaits } from './reports/compareWaits';
import { coverRank } from './reports/coverRank';
import { coverTrials } from './reports/coverTrials';
import { cell, money, say, scoreOf, share, total } from './reports/print';
import { runTrial, trialScenario } from './runTrial';

function main() {
  const args = readArgs();
  const { weeks, pace, seeds, market, world, rules } = args;
  if (rules) return compareRules(args);
  if (args.waits) return compareWaits(args);
  if (args.hours) return compareHours(args);
  if (args.rank) return coverRank(args);
  if (args.trials) return coverTrials(args);
  if (args.budgets) {
    compareBudgets(args, args.budgets);
    return compareMissed(args, args.budgets);
  }
  const target = trialScenario(0, market, world).targetAcos;
  const bidsAlone: Partial<BidSettings> = { modifiers: [false, false, false] };
  let bandsAcos = target;
  const policies: [name: string, make: () => Policy][] = [
    ['do nothing', doNothing],
    ['bands', bands],
    ['ratio', ratio],
    // As the Round uses it: bids, and the modifiers of its step.
    [`mowing, ${pace}`, () => mowing(pace)],
    ['  bids alone', () => mowing(pace, 'grow', undefined, bidsAlone)],
    ['  keeping profit', () => mowing(pace, 'keep profit')],
    // At the target, the ACOS differs from the bands'; aimed at theirs, the two can be compared.
    ['  aimed at bands’', () => mowing(pace, 'grow', bandsAcos)],
  ];
  say(
    `${seeds.length} markets (${market}, ${world}), ${weeks} weeks, target ACOS ${share(target)}; sums over all markets, late orders in.`,
  );
  const results = policies.map(([name, make]) => {
    const bySeed = seeds.map((seed) => runTrial(seed, weeks, make(), market, world));
    say(`\n${name}`);
    say(['week', 'spend', 'sales', 'ACOS', 'profit'].map((text) => cell(text)).join(''));
    for (let week = 0; week < weeks; week += 1) {
      const { spend, sales, acos, profit } = total(bySeed.map((list) => list[week]));
      say(
        [String(week + 1), money(spend), money(sales), share(acos), money(profit)]
          .map((text) => cell(text))
          .join(''),
      );
    }
    const whole = total(bySeed.flat());
    if (name === 'bands') bandsAcos = whole.acos ?? target;
    return { name, ...whole, scores: bySeed.map((list) => scoreOf(total(list), target)) };
  });
  const nothing = results[0];
  say('\nAll weeks');
  say(
    cell('', 18) +
      ['spend', 'sales', 'ACOS', 'profit', 'sales ±', 'profit ±', 'score', 'won']
        .map((text) => cell(text))
        .join(''),
  );
  const sum = (list: number[]) => list.reduce((all, one) => all + one, 0);
  const rival = results.find(({ name }) => name === 'bands')!;
  for (const { name, spend, sales, acos, profit, scores } of results)
    say(
      name.padEnd(18) +
        [
          money(spend),
          money(sales),
          share(acos),
          money(profit),
          share(sales / nothing.sales - 1),
          share(nothing.profit > 0 ? profit / nothing.profit - 1 : null),
          ((100 * sum(scores)) / sum(rival.scores)).toFixed(1),
          // Market by market against the bands.
          `${scores.filter((score, at) => score > rival.scores[at]).length}/${seeds.length}`,
        ]
          .map((text) => cell(text))
          .join(''),
    );
}

try {
  main();
} catch (error) {
  process.stderr.write(`${(error as Error).message}\n`);
  process.exit(1);
}
