import { bidGoalRequest } from '../../../contract/bidSchemas';
import { askBids } from '../../../server/bids/askBids';
import { endpoint } from '../../../server/http/endpoint';

export const POST = endpoint({
  may: 'see',
  body: bidGoalRequest,
  run: ({ body: { account, ...asked } }) => askBids(account, 'goal', asked),
});
