import { rulesOrder } from '../../../contract/ruleSchemas';
import { endpoint } from '../../../server/http/endpoint';
import { sortRules } from '../../../server/standing/rules';

export const PUT = endpoint({
  may: 'decide',
  body: rulesOrder,
  run: ({ body, caller }) => sortRules(caller, body),
});
