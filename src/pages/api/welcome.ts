import { welcomeRequest } from '../../contract/peopleSchemas';
import { endpoint } from '../../server/http/endpoint';
import { browserOf, sessionAnswer } from '../../server/http/sessionCookie';
import { welcome } from '../../server/people/links';

/** Takes the password that somebody chose by a one-time link, and lets her in. */
export const POST = endpoint({
  may: 'anyone',
  body: welcomeRequest,
  run: async ({ body, request, from }) =>
    sessionAnswer(from, await welcome(body, { address: from.address, browser: browserOf(request) }), 201),
});
