import type { NewChange } from '../../contract/changes';
import type { PlannedPlace } from '../../core/build';
import { USUAL_AD_GROUP, USUAL_CAMPAIGN } from '../../core/changes';
import type { CampaignFields, Change } from '../../core/changes';
import type { AdGroupNode, CampaignNode, Target } from '../../core/structure';
import type { Micros } from '../../core/units';
import { BUDGET_STEP } from './budgetActs';

/** A target that gets a campaign of its own. Money in micros; budgets a day. */
export interface OwnCampaign {
  target: Target;
  adGroup: AdGroupNode;
  old: CampaignNode;
  productId: number;
  name: string;
  bid: Micros;
  budget: Micros;
  /** What the old campaign keeps; null: its budget stays. */
  leaves: Micros | null;
}

/** What the new campaign is made with: the modifiers of the old one. */
export const ownFields = ({
  old,
  name,
  budget,
}: Pick<OwnCampaign, 'old' | 'name' | 'budget'>): CampaignFields & { name: string; budget: Micros } => ({
  ...USUAL_CAMPAIGN,
  name,
  budget,
  top: old.top,
  rest: old.rest,
  pages: old.pages,
});

/** Its changes in order: campaign, ad group, ad, target; then, once that runs, the old campaign's budget and the old target paused. */
export function ownCampaignChanges(own: OwnCampaign, { campaignId, adGroupId }: PlannedPlace): NewChange[] {
  const { target, old, productId, name, bid, leaves } = own;
  const { expression } = target;
  const made: Change[] = [
    { kind: 'add-campaign', campaignId, ...ownFields(own) },
    { kind: 'add-ad-group', adGroupId, campaignId, name, defaultBid: bid, ...USUAL_AD_GROUP },
    { kind: 'add-ad', adGroupId, productId },
    target.kind === 'item'
      ? { kind: 'add-item-target', adGroupId, expression, bid }
      : { kind: 'add-keyword', adGroupId, expression, match: 'exact', bid },
  ];
  const moved: Change[] = [
    ...(old.budget !== null && leaves !== null && leaves !== old.budget
      ? [{ kind: 'set-budget' as const, campaignId: old.id, from: old.budget, to: leaves }]
      : []),
    { kind: 'set-state', entity: 'target', id: target.id, from: 'enabled', to: 'paused' },
  ];
  const reason = `“${expression}” gets a campaign of its own: it took most of the budget that it shared in “${old.name}”.`;
  const step = (change: Change, after?: number): NewChange => ({
    change,
    reason,
    figures: { step: BUDGET_STEP },
    effect: { spend: 0, sales: 0 },
    ...(after !== undefined && { after }),
  });
  return [
    ...made.map((change, at) => step(change, at > 0 ? at - 1 : undefined)),
    ...moved.map((change) => step(change, made.length - 1)),
  ];
}
