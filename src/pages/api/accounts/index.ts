import type { NewAccount } from '../../../contract/api';
import { newAccount } from '../../../contract/schemas';
import { createAccount, loadAccounts } from '../../../server/accounts/accounts';
import { endpoint, readBody } from '../../../server/http/endpoint';

export const GET = endpoint(loadAccounts);

export const POST = endpoint(async (context) => {
  const account = await readBody<Required<NewAccount>>(context, newAccount);
  return Response.json(await createAccount(account), { status: 201 });
});
