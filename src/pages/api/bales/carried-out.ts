import { carriedOutRequest } from '../../../contract/changeSchemas';
import { carryOut } from '../../../server/changes/carryOut';
import { endpoint } from '../../../server/http/endpoint';

export const POST = endpoint({
  may: 'send',
  body: carriedOutRequest,
  owned: ({ body: { account, ids } }) => ({ account, change: ids }),
  run: ({ body, caller }) => carryOut(caller, body),
});
