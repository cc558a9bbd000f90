import type { AcceptRequest, PlanRequest } from '../../contract/plan';
import { acceptRequest, planQuery } from '../../contract/planSchemas';
import { endpoint, readBody, readQuery } from '../../server/http/endpoint';
import { acceptPlan } from '../../server/plans/acceptPlan';
import { loadPlan } from '../../server/plans/loadPlan';

export const GET = endpoint(async (context) => loadPlan(readQuery<PlanRequest>(context, planQuery)));

/** Stages what a plan proposes: all of it, or some. */
export const POST = endpoint(async (context) =>
  Response.json(await acceptPlan(await readBody<AcceptRequest>(context, acceptRequest)), { status: 201 }),
);
