import { suggestRequest } from '../../contract/schemas';
import type { NewTarget } from '../../contract/field';
import { suggestBids, suggestNew } from '../../server/field/suggestBids';
import { endpoint, readBody } from '../../server/http/endpoint';

interface Asked {
  account: number;
  ids?: number[];
  targets?: NewTarget[];
}

export const POST = endpoint(async (context) => {
  const { account, ids, targets } = await readBody<Asked>(context, suggestRequest);
  return targets ? suggestNew(account, targets) : suggestBids(account, ids ?? []);
});
