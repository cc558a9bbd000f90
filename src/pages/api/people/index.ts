import { invitation, roleChange } from '../../../contract/peopleSchemas';
import { accountQuery } from '../../../contract/schemas';
import { endpoint } from '../../../server/http/endpoint';
import { ownedBy } from '../../../server/people/visitor';
import { changeRole, invite, loadPeople } from '../../../server/people/people';

/** Who may see an account, and its tokens. */
export const GET = endpoint({
  may: 'own',
  query: accountQuery,
  run: ({ query: { account }, visitor }) => loadPeople(account, visitor!.ownsAll),
});

/** Lets somebody in. */
export const POST = endpoint({
  may: 'own',
  body: invitation,
  status: 201,
  run: ({ body: { account, ...person }, caller, visitor }) =>
    invite(caller, account, person, ownedBy(visitor)),
});

/** Gives somebody another role, or none. */
export const PUT = endpoint({
  may: 'own',
  body: roleChange,
  run: ({ body: { account, person, role }, caller }) => changeRole(caller, account, person, role),
});
