import { suggestRequest } from '../../contract/schemas';
import { suggestBids } from '../../server/field/suggestBids';
import { endpoint, readBody } from '../../server/http/endpoint';

export const POST = endpoint(async (context) => {
  const { account, ids } = await readBody<{ account: number; ids: number[] }>(context, suggestRequest);
  return suggestBids(account, ids);
});
