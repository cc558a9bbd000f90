import { newToken } from '../../../contract/peopleSchemas';
import { removalQuery } from '../../../contract/schemas';
import { endpoint } from '../../../server/http/endpoint';
import { makeToken, stopToken } from '../../../server/people/tokens';

/** Makes a key for scripts; it is told this once. */
export const POST = endpoint({
  may: 'own',
  body: newToken,
  status: 201,
  run: ({ body: { account, ...token }, caller, visitor }) => makeToken(caller, visitor!, account, token),
});

export const DELETE = endpoint({
  may: 'own',
  query: removalQuery,
  run: ({ query: { account, id }, caller }) => stopToken(caller, account, id),
});
