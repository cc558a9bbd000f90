import { budgets } from './budgets';
import { dead } from './dead';
import { grow } from './grow';
import { harvest } from './harvest';
import { hours } from './hours';
import { negatives } from './negatives';
import { over } from './over';
import { overview } from './overview';
import { placements } from './placements';
import type { RoundStep } from './step';

/** The steps of a round, in the order of the work: the digit of each is its place. A new one is a folder beside these and a line here. */
export const ROUND_STEPS = [
  overview,
  dead,
  over,
  grow,
  harvest,
  negatives,
  placements,
  budgets,
  hours,
] as unknown as readonly RoundStep[];
