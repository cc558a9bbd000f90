import type { NewChange } from '../../contract/changes';
import type { RoundStep } from '../../contract/review';
import type { Goal } from '../../core/goals';
import type { PlannedPlace } from '../../core/build';
import type { CampaignFields } from '../../core/changes';
import type { Stage } from '../../core/growth';
import type { Rule, Wanted } from '../../core/rules';
import type { Place, TreeIndex } from '../../core/structure';
import type { Day } from '../../core/units';
import type { PlanRequest } from '../../contract/plan';
import { isBidQueue } from '../../contract/review';
import type { Planned } from '../../plans/steps';
import { planBidSteps, planStep } from '../plans/loadPlan';
import type { PlanHow } from '../plans/how';
import type { InRule } from './ruleReader';

/** A campaign that is made for a growth plan, by drafts that are written down with the night. */
export interface MadeCampaign {
  stage: Stage;
  /** What it bids on; null: one target of its own. */
  part: string | null;
  campaign: CampaignFields & { name: string; budget: number };
  adGroup: { productId: number; name: string; defaultBid: number };
  listIn: (place: PlannedPlace) => NewChange[];
}

/** Something that a rule wants done, with the changes that do it. */
export interface RuleWanted extends Wanted {
  place: string;
  reason: string;
  /** Of what makes a campaign, with places that are none yet. */
  list: NewChange[];
  sales: number;
  makes?: MadeCampaign;
  /** A campaign of a growth plan that goes on to another stage: nothing at the market changes. */
  moves?: { campaign: number; to: Stage };
}

/** What was found, and of how much. */
export interface FoundWanted {
  looked: number;
  wanted: RuleWanted[];
}

/** What steps of the round propose for a rule, in what it works in. @param isIn what is the rule's */
export async function stepWanted(
  accountId: number,
  rule: Rule,
  steps: readonly RoundStep[],
  { index, isIn, how }: { index: TreeIndex; isIn: InRule; how: PlanHow },
): Promise<FoundWanted> {
  const window = rule.lookBack === null ? {} : { from: `last${rule.lookBack}`, to: 'settled' };
  const wanted: RuleWanted[] = [];
  let looked = 0;
  for (const { step, planned } of await plannedOf({ account: accountId, ...window }, steps, how)) {
    for (const { told, changes, expected, adGroupId } of planned) {
      const { kind, id, name, campaign, adGroup } = told.subject;
      if (!isIn({ kind, id, place: placeOf(index, kind, id, adGroupId) })) continue;
      looked += 1;
      if (!changes) continue;
      wanted.push({
        subject: `${kind === 'campaign' ? step : kind} ${id}`,
        name,
        place: kind === 'campaign' ? '' : [campaign, adGroup].filter(Boolean).join(' › '),
        reason: told.reason,
        figures: told.figures,
        changes: changes.length,
        spend: expected.spend,
        sales: expected.sales,
        list: changes,
      });
    }
  }
  return { looked, wanted };
}

/** Steps that tune bids share what they are planned from. */
async function plannedOf(
  request: Omit<PlanRequest, 'step'>,
  steps: readonly RoundStep[],
  how: PlanHow,
): Promise<{ step: RoundStep; planned: Planned[] }[]> {
  const queues = steps.filter(isBidQueue);
  if (queues.length === steps.length)
    return [{ step: steps[0], planned: await planBidSteps(request, queues, how) }];
  const all: { step: RoundStep; planned: Planned[] }[] = [];
  for (const step of steps) all.push({ step, planned: (await planStep({ ...request, step }, how)).planned });
  return all;
}

/** The rule's own choices in place of the account's. @param on a day that is past */
export function howOf(rule: Rule, on?: Day): PlanHow {
  const { scope, target, step, bid, waitDays, lookBack, placements } = rule;
  // A swath may lie anywhere, and is nearer than any target of a part: what its rule aims at holds for all that is looked at.
  const isSwath = scope.kind === 'swath';
  const goal: Goal | undefined =
    target === null
      ? undefined
      : {
          scope: scope.kind === 'swath' ? 'account' : scope.kind,
          scopeId: scope.id,
          kind: 'acos',
          low: target.low,
          high: target.high,
        };
  return {
    bids: {
      pace: 'own',
      own: step,
      holdDays: waitDays,
      ...(bid.low !== null && { floor: bid.low }),
      ...(bid.high !== null && { cap: bid.high }),
    },
    ...(goal && { goal, isGoalForAll: isSwath }),
    ...(placements !== null && { placements }),
    ...(lookBack !== null && { lookBack }),
    ...(on !== undefined && { on }),
  };
}

/** Where something hangs. @param index its targets are not needed @param adGroupId null for a campaign */
export function placeOf(
  index: TreeIndex,
  kind: 'target' | 'term' | 'campaign',
  id: number | string,
  adGroupId: number | null,
): Place {
  if (adGroupId === null) return index.placeOfCampaign(Number(id));
  const place = index.placeOfAdGroup(adGroupId);
  return kind === 'target' ? { ...place, targetId: Number(id) } : place;
}
