import { ownCampaignRequest } from '../../contract/moneySchemas';
import { endpoint } from '../../server/http/endpoint';
import { ownCampaign } from '../../server/money/ownCampaign';

/** Stages a campaign of its own for a target. */
export const POST = endpoint({
  may: 'decide',
  body: ownCampaignRequest,
  owned: ({ body: { account, targetId } }) => ({ account, target: [targetId] }),
  status: 201,
  run: ({ body, caller }) => ownCampaign(caller, body),
});
