import { firstOwnerRequest } from '../../../contract/peopleSchemas';
import { endpoint } from '../../../server/http/endpoint';
import { browserOf, sessionAnswer } from '../../../server/http/sessionCookie';
import { addFirstOwner } from '../../../server/people/people';

/** Makes the first person, who owns everything; from then on everybody signs in. */
export const POST = endpoint({
  may: 'own',
  body: firstOwnerRequest,
  run: async ({ body, request, from }) =>
    sessionAnswer(
      from,
      await addFirstOwner(body, { address: from.address, browser: browserOf(request) }),
      201,
    ),
});
