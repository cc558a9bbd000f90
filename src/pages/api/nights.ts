import { nightUndoRequest } from '../../contract/ruleSchemas';
import { accountQuery } from '../../contract/schemas';
import { askForJob } from '../../server/jobs/askForJob';
import { endpoint } from '../../server/http/endpoint';
import { loadNights, undoNight } from '../../server/standing/nights';

export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: ({ query: { account } }) => loadNights(account),
});

/** Asks for the night now. */
export const POST = endpoint({
  may: 'send',
  body: accountQuery,
  status: 202,
  run: ({ body: { account }, caller }) => askForJob(caller, account, 'standing', {}),
});

/** Takes a night back. */
export const DELETE = endpoint({
  may: 'decide',
  body: nightUndoRequest,
  run: ({ body, caller }) => undoNight(caller, body),
});
