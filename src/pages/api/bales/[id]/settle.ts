import { settleRequest } from '../../../../contract/changeSchemas';
import { idPath } from '../../../../contract/schemas';
import { settleBale } from '../../../../server/changes/carryOut';
import { endpoint } from '../../../../server/http/endpoint';

export const POST = endpoint({
  may: 'send',
  path: idPath,
  body: settleRequest,
  owned: ({ path: { id }, body: { account } }) => ({ account, bale: [id] }),
  run: ({ path: { id }, body: { account, as }, caller }) => settleBale(caller, account, id, as),
});
