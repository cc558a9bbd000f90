import { EVIDENCE_GRADES } from '../evidence';
import type { Micros } from '../units';
import { bounded } from './aimBids';
import type { AimedBids } from './aimBids';
import { CPC_ELASTICITY } from './exposures';
import { holdOf } from './hold';
import type { Held } from './hold';
import { atOnePrice, hasOnePrice } from './onePrice';
import type { BidSettings, StepLimits } from './observations';
import { monthAt } from './proposal';
import type { BidStep, Left, TestWorth } from './proposal';
import { leftIndex, monthNow, stepIndex } from './proposalColumns';
import type { SteppedColumns } from './proposalColumns';
import { testWorth } from './testing';
import { worthOf } from './worths';

const DEAD_CHANCE = 0.2;

/** Writes down how far one target goes of its way in this round, and what comes of that. */
export function stepTarget(
  target: number,
  aimed: AimedBids,
  settings: BidSettings,
  into: SteppedColumns,
): void {
  const { prepared, plans, limit, columns } = aimed;
  const { campaign } = prepared.observations.targets[target];
  const [bid, chance, clicks] = [columns.from[target], columns.chance[target], columns.clicks[target]];
  const move = within(aimed.solution.free[target], settings.step);
  const to = hasOnePrice(settings)
    ? atOnePrice(bid, clicks, chance)
    : roundedBid(bid, bounded(1, move, limit[target]), settings);
  const held = holdAt(target, to, aimed, settings);
  const left = leftAlone(target, to, move, held, aimed, settings);
  const x = (left === null && bid > 0 ? to / bid : 1) * plans[campaign].gain;
  // Most targets of a large account stay as they are.
  const cpcAfter = x === 1 ? columns.cpc[target] : columns.cpc[target] * x ** CPC_ELASTICITY;
  const now = monthNow(columns, target);
  const after = x === 1 ? now : monthAt(now, x);
  const step = stepOf(target, left, to, aimed, settings);
  const test = step === 'test' ? testOf(target, x, cpcAfter, aimed) : null;
  into.step[target] = stepIndex(step);
  into.left[target] = leftIndex(left);
  into.isSecondStep[target] = left === null && held === 'second step' ? 1 : 0;
  into.to[target] = left === null ? to : bid;
  into.cpcAfter[target] = cpcAfter;
  into.afterClicks[target] = after.clicks;
  into.afterSpend[target] = after.spend;
  into.afterSales[target] = after.sales;
  into.testGain[target] = test?.gain ?? NaN;
  into.testChance[target] = test?.chance ?? 0;
  into.testCost[target] = test?.cost ?? 0;
}

const within = (x: number, { down, up }: StepLimits) => Math.min(1 + up, Math.max(1 - down, x));

/** On the market's nearest step and within its limits; a move that would vanish goes one step its way. */
function roundedBid(bid: Micros, move: number, { limits }: BidSettings): Micros {
  const { bidStep, minBid, maxBid } = limits;
  const wanted = (bid * move) / bidStep;
  const nearest = Math.round(wanted);
  const stands = nearest * bidStep;
  const steps =
    move < 1 && stands >= bid
      ? Math.floor(wanted + 1e-9)
      : move > 1 && stands <= bid
        ? Math.ceil(wanted - 1e-9)
        : nearest;
  return Math.min(maxBid, Math.max(minBid, steps * bidStep));
}

/** Whether it waits for what its last change does. */
function holdAt(target: number, to: Micros, aimed: AimedBids, settings: BidSettings): Held {
  const { prepared, plans, solution, columns } = aimed;
  const { observations, exposures, priors } = prepared;
  const { bid, change, campaign } = observations.targets[target];
  if (!change) return null;
  return holdOf(
    {
      change,
      settledDays: columns.settledDays[target],
      exposure: exposures.since.exposure[target],
      usualClicks: 1 / priors.mean[target],
      bid,
      to,
      wantedSince:
        solution.rho[target] *
        plans[campaign].scale *
        worthOf(exposures.since, priors, observations, target).rpc,
    },
    settings,
  );
}

/** Share of days without budget left at which dearer clicks would only end the day sooner. */
const OFTEN_DRY = 0.25;

function leftAlone(
  target: number,
  to: Micros,
  move: number,
  held: Held,
  { prepared, plans, solution, limit, columns }: AimedBids,
  settings: BidSettings,
): Left {
  const { bid, campaign, isRunning } = prepared.observations.targets[target];
  const { dry } = plans[campaign];
  const most = limit[target];
  if (!isRunning) return 'not running';
  if (hasOnePrice(settings)) return to === bid ? 'one price' : held;
  if (solution.isInRange[target]) return 'in range';
  const isRaise = move > 1;
  if (bid <= 0 || Math.abs(move - 1) < settings.leastMove) return 'too small';
  if (isRaise && to > bid * Math.max(1, most) * (1 + 1e-9)) return 'would pass target';
  if (Math.abs(to / bid - 1) < settings.leastMove)
    return isRaise && most < move ? 'would pass target' : 'too small';
  if (held !== null && (held !== 'second step' || !settings.hold.secondSteps)) return held;
  if (columns.grade[target] < EVIDENCE_GRADES.indexOf(settings.leastEvidence)) return 'thin evidence';
  return to > bid && dry !== null && dry > OFTEN_DRY ? 'runs dry' : null;
}

function stepOf(
  target: number,
  left: Left,
  to: Micros,
  { columns }: AimedBids,
  { proof }: BidSettings,
): BidStep {
  const [from, clicks, orders] = [columns.from[target], columns.clicks[target], columns.orders[target]];
  if (left !== null || to === from) return 'none';
  // Proven: orders enough, or one of its own and an estimate that is sure enough.
  const isProven =
    orders >= proof.orders || (orders >= 1 && columns.grade[target] >= EVIDENCE_GRADES.indexOf(proof.grade));
  if (to > from) return isProven ? 'grow' : 'test';
  // What was never clicked on spent nothing: its bid is too high, but it is not dead.
  return clicks > 0 && orders === 0 && columns.chance[target] < DEAD_CHANCE ? 'dead' : 'over';
}

function testOf(target: number, x: number, cpcAfter: number, aimed: AimedBids): TestWorth {
  const { prepared, plans, columns } = aimed;
  const { observations, exposures, priors, worths, paid } = prepared;
  const { bid, campaign } = observations.targets[target];
  return testWorth({
    flow: exposures.flow[target] * paid[campaign],
    x,
    price: bid * x * exposures.raises[campaign],
    cpcAfter,
    spendNow: columns.nowSpend[target],
    targetAcos: columns.aim[target],
    value: worths.value[target] * plans[campaign].mix,
    exposure: exposures.exposure[target],
    orders: exposures.orders[target],
    prior: { mean: priors.mean[target], strength: priors.strength },
  });
}
