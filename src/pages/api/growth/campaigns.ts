import { growthCampaignsRequest } from '../../../contract/growthSchemas';
import { endpoint } from '../../../server/http/endpoint';
import { putCampaigns } from '../../../server/standing/growth/campaigns';

/** Takes campaigns in, moves them between stages, or gives them back. */
export const POST = endpoint({
  may: 'decide',
  body: growthCampaignsRequest,
  owned: ({ body: { account, id, campaigns } }) => ({
    account,
    rule: [id],
    campaign: campaigns.map(({ campaignId }) => campaignId),
  }),
  run: ({ body, caller }) => putCampaigns(caller, body),
});
