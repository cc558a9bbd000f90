import { windowQuery } from '../../contract/schemas';
import { endpoint, jsonText } from '../../server/http/endpoint';
import { loadReview } from '../../server/review/loadReview';

export const GET = endpoint({
  may: 'see',
  query: windowQuery,
  run: async ({ query: { account, from, to } }) => jsonText(await loadReview(account, from, to)),
});
