import { playRequest, ruleQuery } from '../../../contract/ruleSchemas';
import { endpoint } from '../../../server/http/endpoint';
import { askForJob } from '../../../server/jobs/askForJob';
import { loadPlayed } from '../../../server/standing/play/plays';

/** What the last play of a rule came to. */
export const GET = endpoint({
  may: 'see',
  query: ruleQuery,
  owned: ({ query: { account, id } }) => ({ account, rule: [id] }),
  run: ({ query: { account, id } }) => loadPlayed(account, id),
});

/** Asks for a play: a job, for it takes a while. */
export const POST = endpoint({
  may: 'decide',
  body: playRequest,
  owned: ({ body: { account, id } }) => ({ account, rule: [id] }),
  status: 202,
  run: ({ body: { account, ...input }, caller }) => askForJob(caller, account, 'play', input),
});
