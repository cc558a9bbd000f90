import {
  campaignsOf,
  changesOf,
  expectOf,
  freeNames,
  isOffered,
  PARTS,
  partNamed,
} from '../../../core/build';
import type { PartName, PlannedCampaign } from '../../../core/build';
import { budgetStepOf } from '../../../core/budgets';
import { findMoney } from '../../../core/growth';
import type { Stage } from '../../../core/growth';
import { roundDownToStep } from '../../../core/units';
import type { Micros } from '../../../core/units';
import { BUDGET_STEP, ownCampaignChanges, ownFields, spendShares } from '../../../plans/budgets';
import { offersOf } from '../../build/background';
import { freshPlan } from '../../build/plans';
import type { MadeCampaign } from '../stepWanted';
import type { GrowthLook } from './lookAtGrowth';
import { homeIn } from './members';

/** A campaign that a plan lacks. Money in micros. */
export interface Make {
  stage: Stage;
  name: string;
  /** What it is to begin with, a day. */
  need: Micros;
  reason: string;
  with: (budget: Micros) => MadeCampaign & { spend: Micros; sales: Micros };
}

/** The share of the total that the home of what sold begins with. */
const HOME_SHARE = 0.1;

/** The parts that new terms of one's own are tried in, the first that the market takes. */
const TERM_PARTS = ['broad', 'phrase', 'exact'] as const satisfies readonly PartName[];

/** The part in which a market tries terms. */
export const termPart = ({ account }: Pick<GrowthLook, 'account'>): (typeof TERM_PARTS)[number] =>
  TERM_PARTS.find((name) => isOffered(partNamed(name), offersOf(account.options))) ?? 'exact';

/** The campaigns that a plan lacks: one of automatic groups, one of terms to try, one for what sold. @param terms that are to be tried next */
export function missingCampaigns(look: GrowthLook, terms: readonly string[]): Make[] {
  const { plan, members, account } = look;
  const part = termPart(look);
  const makes: Make[] = [];
  const isThere = (stages: readonly Stage[], name: PartName) => homeIn(members, stages, name) !== undefined;
  if (
    plan.find.isOn &&
    plan.find.automatic &&
    (account.options?.autoGroups.length ?? 0) > 0 &&
    !isThere(['find'], 'auto')
  )
    makes.push(
      make(
        look,
        'find',
        'auto',
        [],
        findMoney(plan, look.limits),
        'The market’s automatic groups look for what sells.',
      ),
    );
  if (plan.find.isOn && terms.length > 0 && !isThere(['find'], part))
    makes.push(
      make(look, 'find', part, terms, findMoney(plan, look.limits), 'Terms are tried that may sell.'),
    );
  if (plan.tune.isOn && !isThere(['tune', 'grow'], 'exact')) {
    const need = Math.max(
      look.limits.minBudget,
      roundDownToStep(plan.total * HOME_SHARE, budgetStepOf(look.limits)),
    );
    const own = plan.find.isOn ? [] : plan.find.terms;
    makes.push(
      make(look, 'tune', 'exact', own, need, 'What sells moves here, and its bids go to the target.'),
    );
  }
  return makes;
}

function make(
  look: GrowthLook,
  stage: Stage,
  part: PartName,
  terms: readonly string[],
  need: Micros,
  reason: string,
): Make {
  const planned = plannedCampaign(look, part, stage, terms);
  const { background, productId } = look;
  return {
    stage,
    name: planned.name,
    need,
    reason,
    with: (budget) => {
      const expected = expectOf(background.likes, {
        part,
        productId,
        lineId: background.index.placeOfProduct(productId).lineId,
        count: planned.targets.length,
        budget,
        budgetKind: 'daily',
      });
      const effect = {
        spend: Math.round(expected?.spend.mean ?? 0),
        sales: Math.round(expected?.sales.mean ?? 0),
      };
      const campaign = { ...planned, budget };
      const { name, defaultBid } = planned;
      return {
        ...effect,
        stage,
        part,
        campaign: { ...campaign.fields, name, budget },
        adGroup: { productId, name, defaultBid },
        listIn: (place) => {
          const at = new Map<string, number>();
          return changesOf(campaign, place, [productId]).map(({ line, after, change }, index) => {
            at.set(line, index);
            const before = after === null ? undefined : at.get(after);
            return {
              change,
              reason,
              figures: { step: 'growth' },
              effect: index === 0 ? effect : { spend: 0, sales: 0 },
              ...(before !== undefined && { after: before }),
            };
          });
        },
      };
    },
  };
}

/** One campaign of a plan of Build, of one part alone. */
function plannedCampaign(
  { account, background, productId, plan, limits, index }: GrowthLook,
  part: PartName,
  stage: Stage,
  terms: readonly string[],
): PlannedCampaign {
  const fresh = freshPlan(account, background, productId);
  const { match } = partNamed(part);
  const [campaign] = campaignsOf(
    {
      ...fresh,
      parts: Object.fromEntries(
        PARTS.map(({ name }) => {
          const bid = stage === 'find' ? bidWithin(plan.find.bid, limits) : fresh.parts[name].bid;
          return [name, { isOn: name === part, isEmpty: terms.length === 0, bid }];
        }),
      ) as typeof fresh.parts,
      terms: match === null ? [] : terms.map((text) => ({ text, matches: [match], bids: {} })),
      items: [],
      mostKeywords: null,
      purpose: stage,
      settings: { ...fresh.settings, budgetKind: 'daily' },
    },
    limits,
  );
  const taken = new Set(
    index.tree.campaigns.flatMap(({ name, state }) => (state === 'archived' ? [] : [name])),
  );
  const [name] = freeNames([campaign.name], taken);
  return { ...campaign, name };
}

/** A first bid on the market's step, within its limits. */
export const bidWithin = (bid: Micros, { minBid, maxBid, bidStep }: GrowthLook['limits']): Micros =>
  Math.min(maxBid, Math.max(minBid, roundDownToStep(bid, bidStep)));

/** Share of its days on which a campaign runs out of money before it is parted. */
const OFTEN_DRY = 0.25;

function runsDry({ kept }: GrowthLook, campaignId: number): boolean {
  const { days, dry } = kept.ranDry.campaigns[kept.campaignIds.indexOf(campaignId)] ?? { days: 0, dry: [] };
  return days > 0 && dry.length / days >= OFTEN_DRY;
}

/** The strongest keyword of a campaign that runs dry and whose budget it takes most of gets a campaign of its own: one a night, the one with most to win. */
export function ownCampaigns(look: GrowthLook): Make[] {
  const { plan, members, kept, index, limits } = look;
  if (!plan.grow.isOn) return [];
  const found = members.flatMap((member): Make[] => {
    if (member.stage === 'find' || !member.isRunning || !runsDry(look, member.id)) return [];
    const strong = spendShares(kept, member.id, limits.minBudget)?.strong;
    const target = index.targets.get(strong?.id ?? 0);
    const adGroup = index.adGroups.get(target?.adGroupId ?? 0);
    const old = index.campaigns.get(member.id);
    if (!strong || !target || !adGroup || !old || target.state !== 'enabled') return [];
    const taken = new Set(index.tree.campaigns.map(({ name }) => name));
    const [name] = freeNames([`${old.name} – ${target.expression}`.slice(0, 100)], taken);
    const { bid } = strong;
    const productId = look.productId;
    const reason = `It takes ${Math.round(strong.share * 100)} % of what the clicks of “${old.name}” cost, on target, and that runs dry: with a campaign of its own it is not stopped with the others.`;
    return [
      {
        stage: 'grow',
        name,
        need: strong.budget,
        reason,
        with: (budget) => {
          const own = { target, adGroup, old, productId, name, bid, budget, leaves: null };
          return {
            spend: 0,
            sales: 0,
            stage: 'grow',
            part: null,
            campaign: ownFields(own),
            adGroup: { productId, name, defaultBid: bid },
            listIn: (place) =>
              ownCampaignChanges(own, place).map((one) => ({
                ...one,
                reason,
                figures: { step: BUDGET_STEP },
              })),
          };
        },
      },
    ];
  });
  return found.sort((a, b) => b.need - a.need).slice(0, 1);
}
