import { rankQuery } from '../../../contract/rankSchemas';
import { endpoint } from '../../../server/http/endpoint';
import { loadRank } from '../../../server/rank/loadRank';

export const GET = endpoint({
  may: 'see',
  query: rankQuery,
  run: ({ query: { account, span } }) => loadRank(account, span),
});
