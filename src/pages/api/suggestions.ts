import { suggestRequest } from '../../contract/fieldSchemas';
import { suggestBids, suggestNew } from '../../server/field/suggestBids';
import { endpoint } from '../../server/http/endpoint';

export const POST = endpoint({
  may: 'see',
  body: suggestRequest,
  run: ({ body: { account, ids, targets } }) =>
    targets ? suggestNew(account, targets) : suggestBids(account, ids ?? []),
});
