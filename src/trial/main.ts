// npm run trial: runs the bid engine week by week on fresh stand-in markets, beside doing nothing and two spreadsheet methods.
import { parseArgs } from 'node:util';
import { PACES } from '../core/bids';
import type { BidSettings, Pace } from '../core/bids';
import { BUDGET_WAYS, BUDGET_WORLDS, lieWrong, withBudgets } from './budgetPolicies';
import type { BudgetWorld } from './budgetPolicies';
import { HOUR_WAYS, playHours } from './hoursTrial';
import type { HourWay } from './hoursTrial';
import { playTrial } from './weekTrials';
import type { PlayedTrial } from './weekTrials';
import { playMissed } from './missed';
import type { PlayedMiss } from './missed';
import { bands, doNothing, mowing, ratio } from './policies';
import type { Policy } from './policies';
import { MARKETS, runTrial, trialScenario, WORLDS } from './runTrial';
import type { Market, Week, WorldName } from './runTrial';

const say = (text: string) => process.stdout.write(`${text}\n`);
const money = (micros: number) => Math.round(micros / 1e6).toLocaleString('en-GB');
const cell = (text: string, width = 10) => text.padStart(width);
const share = (value: number | null) => (value === null ? '–' : `${(value * 100).toFixed(1)} %`);

interface Args {
  weeks: number;
  pace: Pace;
  seeds: number[];
  market: Market;
  world: WorldName;
  rules: boolean;
  budgets: BudgetWorld | null;
  hours: boolean;
  trials: boolean;
  money: boolean;
}

function readArgs(): Args {
  const { values } = parseArgs({
    options: {
      weeks: { type: 'string', default: '12' },
      policy: { type: 'string', default: 'steady' },
      seeds: { type: 'string', default: '4' },
      market: { type: 'string', default: 'small' },
      world: { type: 'string', default: 'base' },
      rules: { type: 'boolean', default: false },
      budgets: { type: 'string' },
      hours: { type: 'boolean', default: false },
      trials: { type: 'boolean', default: false },
      money: { type: 'boolean', default: false },
    },
  });
  const [weeks, seeds] = [Number(values.weeks), Number(values.seeds)];
  if (!Number.isInteger(weeks) || weeks < 1 || weeks > 104)
    throw new Error(`--weeks is a whole number from 1 to 104, not “${values.weeks}”.`);
  if (!Number.isInteger(seeds) || seeds < 1 || seeds > 100)
    throw new Error(`--seeds is how many markets are played, 1 to 100, not “${values.seeds}”.`);
  if (!(values.policy in PACES))
    throw new Error(`--policy is one of ${Object.keys(PACES).join(', ')}, not “${values.policy}”.`);
  if (!(values.market in MARKETS))
    throw new Error(`--market is one of ${Object.keys(MARKETS).join(', ')}, not “${values.market}”.`);
  if (!(values.world in WORLDS))
    throw new Error(`--world is one of ${Object.keys(WORLDS).join(', ')}, not “${values.world}”.`);
  if (values.budgets !== undefined && !(values.budgets in BUDGET_WORLDS))
    throw new Error(`--budgets is one of ${Object.keys(BUDGET_WORLDS).join(', ')}, not “${values.budgets}”.`);
  return {
    weeks,
    pace: values.policy as Pace,
    seeds: Array.from({ length: seeds }, (_, at) => 101 + at),
    market: values.market as Market,
    world: values.world as WorldName,
    rules: values.rules,
    hours: values.hours,
    trials: values.trials,
    budgets: (values.budgets as BudgetWorld | undefined) ?? null,
    money: values.money,
  };
}

/** How often the 80 % interval of a trial by weeks holds what is true, and how often it finds what is there. */
function coverTrials({ seeds, market }: Args) {
  say(
    `Trials of 8 weeks in the campaigns of half of the products of ${seeds.length} markets (${market}), 80 % intervals.`,
  );
  say(['bids', 'true', 'told', 'holds', 'sure'].map((text) => cell(text)).join(''));
  let [holds, all] = [0, 0];
  for (const percent of [0, -20, 30]) {
    const played = seeds.map((seed) => playTrial(seed, percent, market));
    const mean = (of: (one: PlayedTrial) => number) =>
      played.reduce((sum, one) => sum + of(one), 0) / played.length;
    const count = (of: (one: PlayedTrial) => boolean) => played.filter(of).length;
    holds += count((one) => one.holds);
    all += played.length;
    say(
      [
        `${percent} %`,
        share(mean(({ truth }) => truth)),
        share(mean(({ told }) => told)),
        share(count((one) => one.holds) / played.length),
        `${count((one) => one.isSure)}/${played.length}`,
      ]
        .map((text) => cell(text))
        .join(''),
    );
  }
  say(`All: the interval holds ${share(holds / all)}.`);
}

/** Sums of weeks over all seeds. */
function total(weeks: Pick<Week, 'spend' | 'sales' | 'profit'>[]) {
  const sum = (of: (week: Pick<Week, 'spend' | 'sales' | 'profit'>) => number) =>
    weeks.reduce((all, week) => all + of(week), 0);
  const [spend, sales] = [sum((week) => week.spend), sum((week) => week.sales)];
  return { spend, sales, acos: sales > 0 ? spend / sales : null, profit: sum((week) => week.profit) };
}

/** Sales less what they are short of for the spend at the target: overspending counts against it. */
const scoreOf = ({ spend, sales }: { spend: number; sales: number }, target: number) =>
  sales - Math.max(0, spend / target - sales);

/** What the rules of waiting and of testing cost or bring: the score of each, 100 for none. */
function compareRules({ weeks, pace, seeds, market, world }: Args) {
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

/** What campaigns whose budgets lie wrong are told to have missed, beside what they miss when each has money enough. */
function compareMissed({ seeds, market, world }: Args, budgets: BudgetWorld) {
  const played = seeds.flatMap((seed) => playMissed(seed, budgets, market, world));
  const sum = (of: (one: PlayedMiss) => number) => played.reduce((all, one) => all + of(one), 0);
  const [told, missed] = [sum((one) => one.told.sales), sum((one) => one.missed)];
  const held = played.filter(({ told: { low, high }, missed: one }) => low <= one && one <= high).length;
  say(
    `\nMissed sales in 28 days, ${played.length} campaigns: played ${money(missed)}, told ${money(told)} (${share(told / missed - 1)}); the 80 % interval holds ${share(held / played.length)}.`,
  );
}

/** What moving money brings: the same bids with budgets left, moved by a simple rule, by the plan, or held as money. */
function compareBudgets({ weeks, pace, seeds, market, world, money: asMoney }: Args, budgets: BudgetWorld) {
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

/** How much conversion varies by hour of the week in the markets of a trial. */
const SIGMAS = [0, 0.1, 0.2, 0.35];

/** Cost per click goes with the bid to this power: a way that left its ACOS lower could bid so much more. */
const CPC_ELASTICITY = 0.8;

/** What schedules bring, by how much conversion really varies: against none, each hour by what it sold, and days and nights off. */
function compareHours({ seeds, market }: Args) {
  say(`${seeds.length} markets (${market}), 12 weeks watched, 12 played; bids stay, schedules alone differ.`);
  say(
    cell('', 24) +
      ['spend', 'sales', 'ACOS', 'sales ±', 'same ACOS', 'scheduled'].map((text) => cell(text)).join(''),
  );
  for (const sigma of SIGMAS) {
    const played = seeds.map((seed) => playHours(seed, sigma, market));
    const of = (way: HourWay) => played.map((list) => list.find((one) => one.way === way)!);
    const none = total(of('none'));
    for (const way of HOUR_WAYS) {
      const whole = total(of(way));
      const scheduled = of(way).filter(({ isScheduled }) => isScheduled).length;
      say(
        `σ ${sigma.toFixed(2)} ${way}`.padEnd(24) +
          [
            money(whole.spend),
            money(whole.sales),
            share(whole.acos),
            share(whole.sales / none.sales - 1),
            share((whole.sales / none.sales) * (none.acos! / whole.acos!) ** (1 / CPC_ELASTICITY) - 1),
            `${scheduled}/${seeds.length}`,
          ]
            .map((text) => cell(text))
            .join(''),
      );
    }
  }
}

function main() {
  const args = readArgs();
  const { weeks, pace, seeds, market, world, rules } = args;
  if (rules) return compareRules(args);
  if (args.hours) return compareHours(args);
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
