import { ownPasswordRequest } from '../../../contract/peopleSchemas';
import { endpoint } from '../../../server/http/endpoint';
import { changeOwnPassword } from '../../../server/people/ownSignIn';

/** Changes one's own password. */
export const PUT = endpoint({
  may: 'self',
  body: ownPasswordRequest,
  run: ({ body, visitor }) => changeOwnPassword(visitor!, body),
});
