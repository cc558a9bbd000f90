import { endpoint } from '../../../server/http/endpoint';
import { siteOf } from '../../../server/http/siteOf';
import { askForPasskey } from '../../../server/people/passkeys';

/** What a browser needs to make a passkey for whoever is signed in. */
export const POST = endpoint({
  may: 'self',
  run: ({ visitor, request, from }) => askForPasskey(visitor!, siteOf(request, from)),
});
