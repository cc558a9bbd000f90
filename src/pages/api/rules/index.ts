import { ruleOfAccount, ruleRequest } from '../../../contract/ruleSchemas';
import { accountQuery } from '../../../contract/schemas';
import { endpoint } from '../../../server/http/endpoint';
import { loadRules, putRule, saveRule } from '../../../server/standing/rules';

export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: ({ query: { account } }) => loadRules(account),
});

export const POST = endpoint({
  may: 'send',
  body: ruleRequest,
  run: ({ body, caller }) => saveRule(caller, body),
});

/** Takes a rule away, or brings it back. */
export const DELETE = endpoint({
  may: 'decide',
  body: ruleOfAccount,
  run: ({ body, caller }) => putRule(caller, body),
});
