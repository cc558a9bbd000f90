import { advanceRequest } from '../../contract/schemas';
import { endpoint } from '../../server/http/endpoint';
import { askForJob } from '../../server/jobs/askForJob';

export const POST = endpoint({
  may: 'own',
  body: advanceRequest,
  status: 202,
  run: ({ body: { account, days }, caller }) => askForJob(caller, account, 'advance', { days }),
});
