import { removalQuery } from '../../../contract/schemas';
import { endpoint } from '../../../server/http/endpoint';
import { cancelJob } from '../../../server/jobs/askForJob';

/** Has a job stop: at once while it waits, else before its next step. */
export const POST = endpoint({
  may: 'set up',
  body: removalQuery,
  owned: ({ body: { account, id } }) => ({ account, job: [id] }),
  run: ({ body: { account, id }, caller }) => cancelJob(caller, account, id),
});
