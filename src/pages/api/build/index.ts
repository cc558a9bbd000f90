import { accountQuery } from '../../../contract/schemas';
import { planRequest } from '../../../contract/buildSchemas';
import { loadPlans, savePlan } from '../../../server/build/plans';
import { endpoint } from '../../../server/http/endpoint';

export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: ({ query: { account } }) => loadPlans(account),
});

export const POST = endpoint({
  may: 'decide',
  body: planRequest,
  run: ({ body, caller }) => savePlan(caller, body),
});
