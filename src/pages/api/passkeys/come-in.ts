import { passkeyResponse } from '../../../contract/peopleSchemas';
import { endpoint } from '../../../server/http/endpoint';
import { browserOf, sessionAnswer } from '../../../server/http/sessionCookie';
import { siteOf } from '../../../server/http/siteOf';
import { askToComeIn, comeInByPasskey } from '../../../server/people/passkeys';

/** What a browser needs to ask its device for a passkey. */
export const PUT = endpoint({
  may: 'anyone',
  run: ({ request, from }) => askToComeIn(siteOf(request, from)),
});

/** Lets somebody in by a passkey. */
export const POST = endpoint({
  may: 'anyone',
  body: passkeyResponse,
  run: async ({ body: { response }, request, from }) =>
    sessionAnswer(
      from,
      await comeInByPasskey(response, siteOf(request, from), {
        address: from.address,
        browser: browserOf(request),
      }),
      201,
    ),
});
