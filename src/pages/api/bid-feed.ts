import { accountQuery } from '../../contract/schemas';
import { loadBidFeed } from '../../server/bids/loadBidFeed';
import { endpoint, jsonText } from '../../server/http/endpoint';

export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: async ({ query: { account } }) => jsonText(await loadBidFeed(account)),
});
