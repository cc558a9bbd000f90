import { accountQuery } from '../../../contract/schemas';
import { trialAct, trialRequest } from '../../../contract/trialsSchemas';
import { endpoint } from '../../../server/http/endpoint';
import { loadTrials } from '../../../server/trials/loadTrials';
import { actOnTrial, startTrial } from '../../../server/trials/trials';

export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: ({ query: { account } }) => loadTrials(account),
});

/** Begins a trial: its changes are sent at once. */
export const POST = endpoint({
  may: 'send',
  body: trialRequest,
  status: 201,
  owned: ({ body: { account, of } }) => ({
    account,
    ...(of.does === 'follow' ? { campaign: of.campaigns } : { change: of.ids }),
  }),
  run: ({ body, caller }) => startTrial(caller, body),
});

/** Stops one that runs, or stages what one tried, to stay. */
export const PATCH = endpoint({
  may: 'send',
  body: trialAct,
  run: ({ body: { account, id, does }, caller }) => actOnTrial(caller, account, id, does),
});
