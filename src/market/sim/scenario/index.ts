import { FERNHOLLOW } from './fernhollow';
import { HOLLIN } from './hollin';
import type { Scenario } from './scenario';
import { LARGE, SMALL } from './sized';
import { TARNBROOK } from './tarnbrook';

const ALL = [TARNBROOK, HOLLIN, FERNHOLLOW, SMALL, LARGE];

/** The sellers that the market can open, by key. */
export const scenarios: ReadonlyMap<string, Scenario> = new Map(
  ALL.map((scenario) => [scenario.key, scenario]),
);
export { sizedScenario } from './sized';
/** A seller that is built in a second: for tests. */
export const smallScenario = (): Scenario => ({ ...SMALL });
