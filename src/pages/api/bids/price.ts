import { accountQuery } from '../../../contract/schemas';
import { askBids } from '../../../server/bids/askBids';
import { endpoint } from '../../../server/http/endpoint';

export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: ({ query: { account } }) => askBids(account, 'price', {}),
});
