import { planOfAccount } from '../../../contract/buildSchemas';
import { launchPlan } from '../../../server/build/launch';
import { endpoint } from '../../../server/http/endpoint';

export const POST = endpoint({
  may: 'send',
  body: planOfAccount,
  run: ({ body: { account, id }, caller }) => launchPlan(caller, account, id),
});
