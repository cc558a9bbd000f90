import { bidPlanRequest } from '../../../contract/bidSchemas';
import { loadBidPlan } from '../../../server/bids/askBids';
import { endpoint } from '../../../server/http/endpoint';
import { packedAnswer } from '../../../server/http/columnsAnswer';

export const POST = endpoint({
  may: 'see',
  body: bidPlanRequest,
  run: async ({ body: { account, settings, known }, request }) =>
    packedAnswer(request, await loadBidPlan(account, settings, known)),
});
