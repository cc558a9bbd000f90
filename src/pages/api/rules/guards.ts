import { guardsRequest } from '../../../contract/ruleSchemas';
import { endpoint } from '../../../server/http/endpoint';
import { setGuards } from '../../../server/standing/rules';

export const PUT = endpoint({
  may: 'send',
  body: guardsRequest,
  run: ({ body, caller }) => setGuards(caller, body),
});
