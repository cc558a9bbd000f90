import { USUAL_AD_GROUP } from '../changes';
import type { Change } from '../changes';
import { normaliseTerm } from '../matching';
import { refinementKey } from '../structure';
import type { PlannedCampaign, PlannedTarget } from './planned';

/** Where a campaign of a plan is made: our drafts, or what the market has made of them. */
export interface PlannedPlace {
  campaignId: number;
  adGroupId: number;
}

/** A change that makes a line of a plan. */
export interface PlannedChange {
  /** Tells the line from all others of the plan, also when it is launched again: "exact 2 | keyword oak crock". */
  line: string;
  /** The line that has to stand before it; null for campaigns. */
  after: string | null;
  change: Change;
}

/** The lines of a campaign by themselves. */
export const lineOf = {
  campaign: (key: string) => `${key} | campaign`,
  adGroup: (key: string) => `${key} | ad group`,
  ad: (key: string, product: number) => `${key} | ad ${product}`,
  target: (
    key: string,
    { kind, match, expression, refine }: Pick<PlannedTarget, 'kind' | 'match' | 'expression' | 'refine'>,
  ) => `${key} | ${match ?? kind} ${normaliseTerm(expression)}${refine ? ` ${refinementKey(refine)}` : ''}`,
  negative: (key: string, match: string, expression: string) =>
    `${key} | not ${match} ${normaliseTerm(expression)}`,
};

/**
 * The changes that make a campaign, in the order in which the market needs them: campaign, ad group, ads, targets, negatives.
 * @param products that its ads show, the first one first
 */
export function changesOf(
  { key, name, budget, fields, defaultBid, targets, negatives, adGroupBudget }: PlannedCampaign,
  { campaignId, adGroupId }: PlannedPlace,
  products: readonly number[],
): PlannedChange[] {
  const [campaign, adGroup] = [lineOf.campaign(key), lineOf.adGroup(key)];
  const ads = products.map((productId) => ({
    line: lineOf.ad(key, productId),
    after: adGroup,
    change: { kind: 'add-ad', adGroupId, productId } as const,
  }));
  const filled = ads[0]?.line ?? adGroup;
  return [
    { line: campaign, after: null, change: { kind: 'add-campaign', campaignId, name, budget, ...fields } },
    {
      line: adGroup,
      after: campaign,
      change: {
        kind: 'add-ad-group',
        adGroupId,
        campaignId,
        name,
        defaultBid,
        ...USUAL_AD_GROUP,
        budget: adGroupBudget,
      },
    },
    ...ads,
    ...targets.map((target) => ({
      line: lineOf.target(key, target),
      after: filled,
      change: targetChange(target, adGroupId),
    })),
    ...negatives.map(({ match, expression }) => ({
      line: lineOf.negative(key, match, expression),
      after: adGroup,
      change: { kind: 'add-negative', campaignId, adGroupId, match, expression } as const,
    })),
  ];
}

function targetChange(
  { kind, match, expression, refine, against, bid }: PlannedTarget,
  adGroupId: number,
): Change {
  switch (kind) {
    case 'keyword':
      return { kind: 'add-keyword', adGroupId, expression, match: match!, bid };
    case 'item':
      return { kind: 'add-item-target', adGroupId, expression, bid };
    case 'auto':
      return { kind: 'add-auto-target', adGroupId, expression, bid };
    case 'category':
    case 'brand':
      return { kind: 'add-refined-target', adGroupId, aim: kind, expression, refine, against, bid };
  }
}
