import { checkChange, USUAL_AD_GROUP, USUAL_CAMPAIGN } from '../../core/changes';
import type { Change } from '../../core/changes';
import type { HomeAnswer, HomeRequest } from '../../contract/routes';
import { MowingError } from '../../contract/mowingError';
import type { Query } from '../../db/connection';
import { insertDraftAdGroup, insertDraftCampaign } from '../../db/queries/drafts';
import { listProducts } from '../../db/queries/economics';
import { listAdGroups, listCampaigns } from '../../db/queries/structure';
import { accountInfo, needAccount } from '../accounts/accounts';
import { stageIn } from '../changes/stageChanges';
import { recorded } from '../trail';
import type { Caller } from '../trail';

/**
 * Stages a new home: an ad group that advertises a product, in a campaign that is there or in a new one. Until the market has made it, it stands here as
 * a draft that routes can lead to; what is staged into it waits for it.
 * @throws MowingError for accounts without a market, a product or campaign that is not there, a name that is taken, or what the market would refuse
 */
export async function makeHome(caller: Caller, request: HomeRequest): Promise<HomeAnswer> {
  const { account: accountId, productId, campaign } = request;
  const account = await needAccount(accountId);
  if (account.marketId === null)
    throw new MowingError(
      'conflict',
      `${account.name} is fed by files: make the ad group at the market; it comes with the next report.`,
    );
  return recorded(caller, accountId, async (tx, note) => {
    const product = (await listProducts(tx, accountId)).find(({ id }) => id === productId);
    if (!product) throw new MowingError('not-found', `The account has no product ${productId}.`);
    await checkNames(tx, request);
    const changes: Change[] = [];
    let campaignId: number;
    if ('id' in campaign) campaignId = campaign.id;
    else {
      campaignId = await insertDraftCampaign(tx, accountId, { ...USUAL_CAMPAIGN, ...campaign });
      changes.push({ kind: 'add-campaign', campaignId, ...USUAL_CAMPAIGN, ...campaign });
    }
    const { name, defaultBid } = request;
    const adGroupId = await insertDraftAdGroup(tx, accountId, { campaignId, productId, name, defaultBid });
    changes.push({
      kind: 'add-ad-group',
      adGroupId,
      campaignId,
      name,
      defaultBid,
      ...USUAL_AD_GROUP,
    });
    changes.push({ kind: 'add-ad', adGroupId, productId });
    const [finding] = changes.flatMap((change) => checkChange(change, accountInfo(account).limits));
    if (finding) throw new MowingError('bad-request', `${finding.sentence} Nothing was staged.`);
    await stageIn(
      tx,
      accountId,
      changes.map((change, at) => ({
        change,
        reason: `A home for the terms of ${product.name}.`,
        figures: {},
        effect: { spend: 0, sales: 0 },
        ...(at > 0 && { after: at - 1 }),
      })),
    );
    note({ what: 'stage a home', subject: `ad-group ${adGroupId}`, to: request });
    return { adGroupId, campaignId };
  });
}

async function checkNames(tx: Query, { account, name, campaign }: HomeRequest) {
  const campaigns = (await listCampaigns(tx, account)).filter(({ state }) => state !== 'archived');
  if ('id' in campaign) {
    if (!campaigns.some(({ id }) => id === campaign.id))
      throw new MowingError('not-found', `The account has no campaign ${campaign.id} that is not ended.`);
    const taken = (await listAdGroups(tx, account)).some(
      (one) => one.campaignId === campaign.id && one.name === name && one.state !== 'archived',
    );
    if (taken)
      throw new MowingError(
        'conflict',
        `The campaign has an ad group called “${name}”. Choose another name, or lead the route there.`,
      );
  } else if (campaigns.some((one) => one.name === campaign.name))
    throw new MowingError(
      'conflict',
      `There is a campaign called “${campaign.name}”. Choose another name, or make the ad group in it.`,
    );
}
