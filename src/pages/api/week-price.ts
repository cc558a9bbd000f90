import { weekPriceRequest } from '../../contract/schedulesSchemas';
import { endpoint } from '../../server/http/endpoint';
import { priceOfWeek } from '../../server/hours/loadSchedules';

/** What a week would do in some campaigns. Asked in the body: a week and its campaigns are too long for an address. */
export const POST = endpoint({
  may: 'see',
  body: weekPriceRequest,
  owned: ({ body: { account, campaigns } }) => ({ account, campaign: campaigns }),
  run: ({ body: { account, campaigns, week } }) => priceOfWeek(account, campaigns, week),
});
