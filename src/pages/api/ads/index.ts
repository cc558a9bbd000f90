import { accountQuery } from '../../../contract/schemas';
import { loadAds } from '../../../server/ads/ads';
import { endpoint } from '../../../server/http/endpoint';

export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: ({ query: { account } }) => loadAds(account),
});
