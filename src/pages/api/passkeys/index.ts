import { newPasskey, passkeyRemoval } from '../../../contract/peopleSchemas';
import { endpoint } from '../../../server/http/endpoint';
import { siteOf } from '../../../server/http/siteOf';
import { dropPasskey, keepPasskey, loadPasskeys } from '../../../server/people/passkeys';

/** One's own passkeys. */
export const GET = endpoint({ may: 'self', run: ({ visitor }) => loadPasskeys(visitor!) });

/** Keeps the passkey that a browser made. */
export const POST = endpoint({
  may: 'self',
  body: newPasskey,
  status: 201,
  run: ({ body, visitor, request, from }) => keepPasskey(visitor!, siteOf(request, from), body),
});

export const DELETE = endpoint({
  may: 'self',
  body: passkeyRemoval,
  run: ({ body: { id }, visitor }) => dropPasskey(visitor!, id),
});
