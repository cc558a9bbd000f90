import { buildWorld } from '../sim';
import type { Scenario, World } from '../sim';

const known = new Map<string, World>();

/** The world of a scenario, built once for the process: a large one takes seconds. */
export function worldOf(scenario: Scenario): World {
  let world = known.get(scenario.key);
  if (!world) known.set(scenario.key, (world = buildWorld(scenario)));
  return world;
}
