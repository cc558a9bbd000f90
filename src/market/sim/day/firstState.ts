import type { World } from '../world/world';
import type { SimState } from './facts';
import { firstStanding } from './organic';

/** What stands on the morning of the first day: ranks, funds, nothing still to come. */
export function firstState(world: World): SimState {
  return { standing: firstStanding(world), funds: world.scenario.funds, spent: {}, coming: {} };
}
