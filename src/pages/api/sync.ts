import { accountQuery } from '../../contract/schemas';
import { endpoint } from '../../server/http/endpoint';
import { askForJob } from '../../server/jobs/askForJob';
import { loadSync } from '../../server/sync/loadSync';

export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: ({ query: { account } }) => loadSync(account),
});

export const POST = endpoint({
  may: 'set up',
  body: accountQuery,
  status: 202,
  run: ({ body: { account }, caller }) => askForJob(caller, account, 'sync', {}),
});
