import { bidPlacementsRequest } from '../../../contract/bidSchemas';
import { packedBids } from '../../../server/bids/askBids';
import { packedAnswer } from '../../../server/http/columnsAnswer';
import { endpoint } from '../../../server/http/endpoint';

export const POST = endpoint({
  may: 'see',
  body: bidPlacementsRequest,
  run: async ({ body: { account, ...asked }, request }) =>
    packedAnswer(request, await packedBids(account, 'placements', asked)),
});
