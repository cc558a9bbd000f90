import { checkChange } from '../../core/changes';
import { MowingError } from '../../contract/mowingError';
import type { OwnCampaignAnswer, OwnCampaignRequest } from '../../contract/strongTarget';
import { insertDraftAdGroup, insertDraftCampaign } from '../../db/queries/drafts';
import { ownCampaignChanges, ownFields } from '../../plans/budgets';
import type { OwnCampaign } from '../../plans/budgets';
import { accountInfo, needAccount } from '../accounts/accounts';
import { stageIn } from '../changes/stageChanges';
import { loadTree } from '../field/loadTree';
import { recorded } from '../trail';
import type { Caller } from '../trail';

/**
 * Stages a campaign of its own for a target, as one bale in order: campaign, ad group, ad, the target with its bid, the modifiers that the
 * old campaign has; then, once the new one runs, its money out of the old campaign and the old target paused. Its record goes with it: what its
 * words (or item) brought in the product's other ad groups counts for the new target from the first day.
 * @throws MowingError for accounts without a market, a target that is not exact or an item, a name that is taken, or what the market would refuse
 */
export async function ownCampaign(caller: Caller, request: OwnCampaignRequest): Promise<OwnCampaignAnswer> {
  const { account: accountId, targetId, name, budget, leaves } = request;
  const account = accountInfo(await needAccount(accountId));
  if (!account.connected)
    throw new MowingError(
      'conflict',
      `${account.name} is fed by files: make the campaign at the market; it comes with the next report.`,
    );
  const { targets, adGroups, campaigns } = await loadTree(accountId);
  const target = targets.find(({ id }) => id === targetId);
  const adGroup = adGroups.find(({ id }) => id === target?.adGroupId);
  const old = campaigns.find(({ id }) => id === adGroup?.campaignId);
  if (!target || !adGroup || !old || adGroup.productId === null)
    throw new MowingError('not-found', `The account has no target ${targetId} that advertises one product.`);
  if (target.kind !== 'item' && target.match !== 'exact')
    throw new MowingError(
      'bad-request',
      'Only exact keywords and items can be given a campaign of their own.',
    );
  if (campaigns.some((one) => one.name === name && one.state !== 'archived'))
    throw new MowingError('conflict', `There is a campaign called “${name}”. Choose another name.`);
  const bid = target.bid ?? adGroup.defaultBid ?? account.limits.minBid;
  const productId = adGroup.productId;
  return recorded(caller, accountId, async (tx, note) => {
    const own: OwnCampaign = { target, adGroup, old, productId, name, bid, budget, leaves };
    const campaignId = await insertDraftCampaign(tx, accountId, ownFields(own));
    const adGroupId = await insertDraftAdGroup(tx, accountId, {
      campaignId,
      productId,
      name,
      defaultBid: bid,
    });
    const changes = ownCampaignChanges(own, { campaignId, adGroupId });
    const [finding] = changes.flatMap(({ change }) => checkChange(change, account.limits));
    if (finding) throw new MowingError('bad-request', `${finding.sentence} Nothing was staged.`);
    const staged = await stageIn(tx, accountId, changes);
    note({ what: 'stage a campaign of its own', subject: `target ${targetId}`, to: request });
    return { campaignId, ids: staged.filter((id): id is number => id !== null) };
  });
}
