import { newAccount } from '../../../contract/schemas';
import { createAccount, loadAccounts } from '../../../server/accounts/accounts';
import { endpoint } from '../../../server/http/endpoint';

export const GET = endpoint({ may: 'see', run: ({ visitor }) => loadAccounts(visitor!.rightsOn) });

export const POST = endpoint({
  may: 'own',
  body: newAccount,
  status: 201,
  run: ({ body, caller }) => createAccount(caller, body),
});
