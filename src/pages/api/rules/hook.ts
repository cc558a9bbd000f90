import { hookRequest } from '../../../contract/ruleSchemas';
import { accountQuery } from '../../../contract/schemas';
import { endpoint } from '../../../server/http/endpoint';
import { loadHook, setHook } from '../../../server/standing/hook/hook';

/** Where the summary of a night is sent to; its secret is never told. */
export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: ({ query: { account } }) => loadHook(account),
});

export const PUT = endpoint({
  may: 'own',
  body: hookRequest,
  run: ({ body, caller }) => setHook(caller, body),
});
