import { chanceToReach, estimateConversion, EVIDENCE_GRADES, neededConversion } from '../evidence';
import type { ConversionPrior, EvidenceGrade } from '../evidence';
import { DAYS_PER_MONTH } from '../units';
import type { Micros } from '../units';
import { CPC_ELASTICITY } from './exposures';
import { holdOf } from './hold';
import type { Held } from './hold';
import type { CampaignPlan } from './modifiers';
import { atOnePrice, hasOnePrice } from './onePrice';
import type { BidSettings } from './observations';
import type { PreparedBids } from './prepareBids';
import { monthAt } from './proposal';
import type { BidProposal, BidStep, Left, Month, SinceChange } from './proposal';
import type { AimedSolution } from './solveRanges';
import { testWorth } from './testing';
import { worthOf } from './worths';

/** What a proposal is made of. */
export interface ProposalParts extends PreparedBids {
  settings: BidSettings;
  plans: CampaignPlan[];
  solution: AimedSolution;
  /** Days before the decision day whose orders are not in yet. */
  unsettled: number;
}

const DEAD_CHANCE = 0.2;

/** The bid of one target, with everything it was decided on. */
export function proposeTarget(target: number, parts: ProposalParts): BidProposal {
  const { observations, settings, exposures, priors, worths, plans, solution, kappa, paid } = parts;
  const { bid, campaign, before } = observations.targets[target];
  const { exposure, orders, clicks, cpc } = exposures;
  const flow = exposures.flow[target] * paid[campaign];
  const prior = { mean: priors.mean[target], strength: priors.strength };
  const { mean, low, high, grade } = estimateConversion(exposure[target], orders[target], prior);
  const { mix, gain } = plans[campaign];
  const acos = solution.acos[target];
  const value = worths.value[target] * mix;
  const needed = neededConversion(cpc[target], acos, value);
  const chance = needed > 0 ? chanceToReach(needed, exposure[target], orders[target], prior) : 1;
  const limit = mostUnderTarget(target, parts);
  const to = hasOnePrice(settings)
    ? atOnePrice(bid, clicks[target], chance)
    : roundedBid(bid, bounded(1, solution.move[target], limit), settings);
  const since = sinceOf(target, parts);
  const held = holdAt(target, to, since, parts);
  const left = leftAlone(target, to, { held, limit, grade, parts });
  const now: Month = {
    clicks: flow * DAYS_PER_MONTH,
    spend: flow * cpc[target] * DAYS_PER_MONTH,
    sales: kappa * flow * worths.rpc[target] * mix * DAYS_PER_MONTH,
  };
  const x = (left === null && bid > 0 ? to / bid : 1) * gain;
  const cpcAfter = cpc[target] * x ** CPC_ELASTICITY;
  const step = stepOf(left, bid, to, {
    clicks: clicks[target],
    orders: orders[target],
    chance,
    isProven: isProven(orders[target], grade, settings),
  });
  return {
    target,
    step,
    left,
    from: bid,
    to: left === null ? to : bid,
    wanted: Math.round(bounded(bid, solution.wanted[target], limit)),
    aim: acos,
    raise: exposures.raises[campaign],
    rho: solution.rho[target],
    clicks: clicks[target],
    orders: orders[target],
    conversion: { mean, low, high, usual: priors.mean[target], grade },
    exposure: exposure[target],
    before,
    rpc: worths.rpc[target] * mix,
    rpcLow: low * value,
    rpcHigh: high * value,
    cpc: cpc[target],
    cpcAfter,
    needed,
    chance,
    now,
    after: monthAt(now, x),
    freed: { clicks: 0, spend: 0, sales: 0 },
    since,
    isSecondStep: left === null && held === 'second step',
    test: step === 'test' ? testOf(target, x, cpcAfter, prior, now, parts) : null,
  };
}

/** Largest bid after / bid now at which the target by itself stays under its target ACOS: CPC ~ bid to the 0.8. */
function mostUnderTarget(
  target: number,
  { observations, exposures, worths, plans, solution, kappa }: ProposalParts,
) {
  const { campaign } = observations.targets[target];
  const cost = exposures.cpc[target];
  // What the last weeks brought less than estimated counts; what they brought more may not last.
  const worth = worths.rpc[target] * plans[campaign].mix * Math.min(1, kappa);
  const most = cost > 0 ? ((solution.acos[target] * worth) / cost) ** (1 / CPC_ELASTICITY) : Infinity;
  return most / plans[campaign].gain;
}

/** A raise goes no further than the limit; a cut is not touched. @param limit bid after / bid now */
const bounded = (bid: Micros, to: Micros, limit: number) =>
  to > bid ? Math.max(bid, Math.min(to, bid * limit)) : to;

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

function sinceOf(target: number, { observations, exposures, unsettled }: ProposalParts): SinceChange | null {
  const { change } = observations.targets[target];
  if (!change) return null;
  return {
    daysAgo: change.daysAgo,
    from: change.from,
    settledDays: Math.max(0, change.daysAgo - unsettled),
    clicks: exposures.since.clicks[target],
    orders: exposures.since.orders[target],
  };
}

/** Whether it waits for what its last change does. */
function holdAt(target: number, to: Micros, since: SinceChange | null, parts: ProposalParts) {
  const { observations, exposures, priors, plans, solution, settings } = parts;
  const { bid, change, campaign } = observations.targets[target];
  if (!change || !since) return null;
  const { scale } = plans[campaign];
  return holdOf(
    {
      change,
      settledDays: since.settledDays,
      exposure: exposures.since.exposure[target],
      usualClicks: 1 / priors.mean[target],
      bid,
      to,
      wantedSince: solution.rho[target] * scale * worthOf(exposures.since, priors, observations, target).rpc,
    },
    settings,
  );
}

/** Share of days without budget left at which dearer clicks would only end the day sooner. */
const OFTEN_DRY = 0.25;

function leftAlone(
  target: number,
  to: Micros,
  at: { held: Held; limit: number; grade: EvidenceGrade; parts: ProposalParts },
): Left {
  const { held, limit, grade, parts } = at;
  const { observations, settings, plans, solution } = parts;
  const { bid, campaign, isRunning } = observations.targets[target];
  const { dry } = plans[campaign];
  if (!isRunning) return 'not running';
  if (hasOnePrice(settings)) return to === bid ? 'one price' : held;
  if (solution.isInRange[target]) return 'in range';
  const isRaise = solution.move[target] > 1;
  if (bid <= 0 || Math.abs(solution.move[target] - 1) < settings.leastMove) return 'too small';
  if (isRaise && to > bid * Math.max(1, limit) * (1 + 1e-9)) return 'would pass target';
  if (Math.abs(to / bid - 1) < settings.leastMove)
    return isRaise && limit < solution.move[target] ? 'would pass target' : 'too small';
  if (held !== null && (held !== 'second step' || !settings.hold.secondSteps)) return held;
  if (EVIDENCE_GRADES.indexOf(grade) < EVIDENCE_GRADES.indexOf(settings.leastEvidence))
    return 'thin evidence';
  return to > bid && dry !== null && dry > OFTEN_DRY ? 'runs dry' : null;
}

/** Whether a target has shown what it is worth: orders enough, or one of its own and an estimate that is sure enough. */
function isProven(orders: number, grade: EvidenceGrade, { proof }: BidSettings): boolean {
  return (
    orders >= proof.orders ||
    (orders >= 1 && EVIDENCE_GRADES.indexOf(grade) >= EVIDENCE_GRADES.indexOf(proof.grade))
  );
}

function stepOf(
  left: Left,
  from: Micros,
  to: Micros,
  known: { clicks: number; orders: number; chance: number; isProven: boolean },
): BidStep {
  const { clicks, orders, chance } = known;
  if (left !== null || to === from) return 'none';
  if (to > from) return known.isProven ? 'grow' : 'test';
  // What was never clicked on spent nothing: its bid is too high, but it is not dead.
  return clicks > 0 && orders === 0 && chance < DEAD_CHANCE ? 'dead' : 'over';
}

function testOf(
  target: number,
  x: number,
  cpcAfter: number,
  prior: ConversionPrior,
  now: Month,
  { observations, exposures, worths, plans, solution, paid }: ProposalParts,
) {
  const { bid, campaign } = observations.targets[target];
  return testWorth({
    flow: exposures.flow[target] * paid[campaign],
    x,
    price: bid * x * exposures.raises[campaign],
    cpcAfter,
    spendNow: now.spend,
    targetAcos: solution.acos[target],
    value: worths.value[target] * plans[campaign].mix,
    exposure: exposures.exposure[target],
    orders: exposures.orders[target],
    prior,
  });
}
