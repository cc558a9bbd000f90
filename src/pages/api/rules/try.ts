import { tryRequest } from '../../../contract/ruleSchemas';
import { endpoint } from '../../../server/http/endpoint';
import { tryRule } from '../../../server/standing/tryRule';

export const POST = endpoint({
  may: 'decide',
  body: tryRequest,
  run: ({ body, caller }) => tryRule(caller, body),
});
