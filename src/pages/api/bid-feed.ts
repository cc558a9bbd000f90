import { accountQuery } from '../../contract/schemas';
import { loadBidFeed } from '../../server/bids/loadBidFeed';
import { columnsAnswer } from '../../server/http/columnsAnswer';
import { endpoint } from '../../server/http/endpoint';

export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: async ({ query: { account }, request }) => columnsAnswer(request, await loadBidFeed(account)),
});
