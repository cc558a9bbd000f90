import { accountQuery, idPath } from '../../../../contract/schemas';
import { needAccount } from '../../../../server/accounts/accounts';
import { patiently } from '../../../../server/changes/sendBale';
import { endpoint } from '../../../../server/http/endpoint';

export const POST = endpoint({
  may: 'send',
  path: idPath,
  query: accountQuery,
  owned: ({ path: { id }, query: { account } }) => ({ account, bale: [id] }),
  run: async ({ path: { id }, query: { account } }) => {
    await needAccount(account);
    return { baleId: id, trouble: await patiently(account, id) };
  },
});
