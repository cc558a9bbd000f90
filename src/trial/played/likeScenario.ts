import type { PlayLike } from '../../core/played';
import { MICROS_PER_UNIT } from '../../core/units';
import { sizedScenario } from '../../market/sim';
import type { Scenario } from '../../market/sim';
import { PlayedMarket } from '../playedMarket';

/** Days that are played before anything is decided, and days that a market is measured over to make it like what is asked for. */
export const HISTORY_DAYS = 60;
const MEASURED_DAYS = 14;
/** A market beyond these bounds is played at them: it has to be played in seconds. */
const MOST = { products: 3, targets: 60 };
const HEAD = { least: 10, most: 1500 };
const CONVERSION = { least: 0.005, most: 0.5 };
const ROUNDS = 3;

/** A market like a part of an account: its price, targets, clicks a day, conversion, target and limits. */
export interface LikeScenario {
  scenario: Scenario;
  /** What it came to when it was measured. */
  like: { clicksPerDay: number; conversion: number };
}

/** Moves the searches and the conversion of a market until its clicks and orders are those that are asked for. */
export function likeScenario(asked: PlayLike, seed: number, isNew = false): LikeScenario {
  const products = Math.max(1, Math.min(MOST.products, asked.products));
  const targets = Math.max(12, Math.min(MOST.targets, asked.targets));
  let [head, conversion] = [120, asked.conversion];
  let like = { clicksPerDay: 0, conversion: 0 };
  for (let round = 0; round < ROUNDS; round += 1) {
    like = measured(scenarioOf(asked, { seed, products, targets, head, conversion }), products);
    // What does not click or sell at all says nothing of how far off it is.
    const off = asked.clicksPerDay / Math.max(like.clicksPerDay, 0.1);
    const sells = like.conversion > 0 ? asked.conversion / like.conversion : 1.5;
    head = Math.round(within(HEAD, head * within({ least: 0.2, most: 5 }, off)));
    conversion = within(CONVERSION, conversion * within({ least: 0.4, most: 2.5 }, sells));
  }
  const scenario = scenarioOf(asked, { seed, products, targets, head, conversion });
  return { scenario: isNew ? withNew(scenario) : scenario, like };
}

const within = ({ least, most }: { least: number; most: number }, value: number) =>
  Math.min(most, Math.max(least, value));

interface Size {
  seed: number;
  products: number;
  targets: number;
  head: number;
  conversion: number;
}

function scenarioOf(asked: PlayLike, { seed, products, targets, head, conversion }: Size): Scenario {
  const sized = sizedScenario({
    key: 'like',
    accountName: 'A market like it',
    products,
    days: HISTORY_DAYS,
    tailQueries: targets * 2,
    itemQueries: 8,
    headVolume: head,
    targetsPerProduct: targets,
    unseenShare: 0.004,
  });
  return {
    ...sized,
    seed,
    targetAcos: asked.targetAcos,
    limits: asked.limits,
    options: {
      ...sized.options,
      matches: asked.matches,
      modifiers: asked.modifiers,
      autoGroups: asked.autoGroups.length > 0 ? sized.options.autoGroups : [],
    },
    products: sized.products.map((one) => ({ ...one, price: asked.price / MICROS_PER_UNIT, conversion })),
  };
}

function measured(scenario: Scenario, products: number): LikeScenario['like'] {
  const market = new PlayedMarket({ ...scenario, days: MEASURED_DAYS });
  market.play(MEASURED_DAYS);
  const { clicks, orders } = market.sums(0, MEASURED_DAYS);
  return { clicksPerDay: clicks / MEASURED_DAYS / products, conversion: clicks > 0 ? orders / clicks : 0 };
}

/** The first of its products is not advertised yet. */
const withNew = (scenario: Scenario): Scenario => ({
  ...scenario,
  products: scenario.products.map((one, at) => ({ ...one, isNew: at === 0 })),
});
