import { bidWantedRequest } from '../../../contract/bidSchemas';
import { askBids } from '../../../server/bids/askBids';
import { endpoint } from '../../../server/http/endpoint';

export const POST = endpoint({
  may: 'see',
  body: bidWantedRequest,
  run: ({ body: { account, ...asked } }) => askBids(account, 'wanted', asked),
});
