import { acceptRequest, planQuery } from '../../contract/planSchemas';
import { endpoint } from '../../server/http/endpoint';
import { acceptPlan } from '../../server/plans/acceptPlan';
import { loadPlan } from '../../server/plans/loadPlan';

export const GET = endpoint({ may: 'see', query: planQuery, run: ({ query }) => loadPlan(query) });

/** Stages what a plan proposes: all of it, or some. */
export const POST = endpoint({
  may: 'decide',
  body: acceptRequest,
  status: 201,
  run: ({ body, caller }) => acceptPlan(caller, body),
});
