import { homeRequest } from '../../../contract/wordSchemas';
import { endpoint } from '../../../server/http/endpoint';
import { makeHome } from '../../../server/routes/makeHome';

export const POST = endpoint({
  may: 'decide',
  body: homeRequest,
  run: ({ body, caller }) => makeHome(caller, body),
});
