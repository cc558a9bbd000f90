import { planOfAccount } from '../../../contract/buildSchemas';
import { stagePlan } from '../../../server/build/launch';
import { endpoint } from '../../../server/http/endpoint';

export const POST = endpoint({
  may: 'decide',
  body: planOfAccount,
  run: async ({ body: { account, id }, caller }) => ({ ids: await stagePlan(caller, account, id) }),
});
