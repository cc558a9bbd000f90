import { personOfAccount } from '../../../contract/peopleSchemas';
import { endpoint } from '../../../server/http/endpoint';
import { ownedBy } from '../../../server/people/visitor';
import { resetPassword } from '../../../server/people/people';

/** Makes a new one-time link for somebody, and ends her sessions. */
export const POST = endpoint({
  may: 'own',
  body: personOfAccount,
  status: 201,
  run: ({ body: { account, person }, caller, visitor }) =>
    resetPassword(caller, account, person, ownedBy(visitor)),
});
