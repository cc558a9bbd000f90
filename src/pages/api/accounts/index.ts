import { newAccount } from '../../../contract/schemas';
import { createAccount, loadAccounts } from '../../../server/accounts/accounts';
import { endpoint } from '../../../server/http/endpoint';

export const GET = endpoint({ may: 'see', run: loadAccounts });

export const POST = endpoint({
  may: 'set up',
  body: newAccount,
  status: 201,
  run: ({ body, caller }) => createAccount(caller, body),
});
