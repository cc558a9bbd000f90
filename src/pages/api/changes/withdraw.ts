import { changeIds } from '../../../contract/changeSchemas';
import { withdraw } from '../../../server/changes/stageChanges';
import { endpoint } from '../../../server/http/endpoint';

export const POST = endpoint({
  may: 'decide',
  body: changeIds,
  owned: ({ body: { account, ids } }) => ({ account, change: ids }),
  run: async ({ body: { account, ids }, caller }) => ({ ids: await withdraw(caller, account, ids) }),
});
