import { parseArgs } from 'node:util';
import { PACES } from '../core/bids';
import type { Pace } from '../core/bids';
import { BUDGET_WORLDS } from './budgetPolicies';
import type { BudgetWorld } from './budgetPolicies';
import { MARKETS, WORLDS } from './runTrial';
import type { Market, WorldName } from './runTrial';

/** What a run of the program is asked for. */
export interface Args {
  weeks: number;
  pace: Pace;
  seeds: number[];
  market: Market;
  world: WorldName;
  rules: boolean;
  budgets: BudgetWorld | null;
  hours: boolean;
  trials: boolean;
  waits: boolean;
  rank: boolean;
  money: boolean;
}

/** @throws Error that says which argument is wrong */
export function readArgs(): Args {
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
      waits: { type: 'boolean', default: false },
      rank: { type: 'boolean', default: false },
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
    waits: values.waits,
    rank: values.rank,
    budgets: (values.budgets as BudgetWorld | undefined) ?? null,
    money: values.money,
  };
}
