import { newPlanRequest, planOfAccount, throwRequest } from '../../../contract/buildSchemas';
import { beginPlan, throwAway } from '../../../server/build/plans';
import { workOut } from '../../../server/build/workOut';
import { endpoint } from '../../../server/http/endpoint';

export const GET = endpoint({
  may: 'see',
  query: planOfAccount,
  run: ({ query: { account, id } }) => workOut(account, id),
});

export const POST = endpoint({
  may: 'decide',
  body: newPlanRequest,
  run: ({ body, caller }) => beginPlan(caller, body),
});

export const DELETE = endpoint({
  may: 'decide',
  body: throwRequest,
  run: ({ body, caller }) => throwAway(caller, body),
});
