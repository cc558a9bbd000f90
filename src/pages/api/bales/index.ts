import { changeIds } from '../../../contract/changeSchemas';
import { accountQuery } from '../../../contract/schemas';
import { needAccount } from '../../../server/accounts/accounts';
import { loadBales } from '../../../server/changes/loadChanges';
import { sendBale } from '../../../server/changes/sendBale';
import { endpoint } from '../../../server/http/endpoint';

export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: async ({ query: { account } }) => {
    await needAccount(account);
    return loadBales(account);
  },
});

export const POST = endpoint({
  may: 'send',
  body: changeIds,
  owned: ({ body: { account, ids } }) => ({ account, change: ids }),
  run: ({ body: { account, ids }, caller }) => sendBale(caller, account, ids),
});
