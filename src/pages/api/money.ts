import { topUpRequest } from '../../contract/moneySchemas';
import { accountQuery } from '../../contract/schemas';
import { endpoint } from '../../server/http/endpoint';
import { loadMoney, topUp } from '../../server/money/loadMoney';

export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: ({ query: { account } }) => loadMoney(account),
});

/** Pays prepaid money in. */
export const POST = endpoint({
  may: 'own',
  body: topUpRequest,
  run: ({ body: { account, amount }, caller }) => topUp(caller, account, amount),
});
