import { accountQuery } from '../../contract/schemas';
import { loadBidFeed } from '../../server/bids/loadBidFeed';
import { endpoint, jsonText, readQuery } from '../../server/http/endpoint';

export const GET = endpoint(async (context) =>
  jsonText(await loadBidFeed(readQuery<{ account: number }>(context, accountQuery).account)),
);
