import { accountChange, idPath } from '../../../contract/schemas';
import { changeAccount } from '../../../server/accounts/accounts';
import { endpoint } from '../../../server/http/endpoint';

export const PATCH = endpoint({
  may: 'own',
  path: idPath,
  about: ({ path: { id } }) => id,
  body: accountChange,
  run: ({ path: { id }, body, caller }) => changeAccount(caller, id, body),
});
