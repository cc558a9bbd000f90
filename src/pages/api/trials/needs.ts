import { trialNeedsRequest } from '../../../contract/trialsSchemas';
import { endpoint } from '../../../server/http/endpoint';
import { trialNeeds } from '../../../server/trials/loadTrials';

/** What some campaigns sell a week, and those beside them: from this it is told how long a trial takes. */
export const POST = endpoint({
  may: 'see',
  body: trialNeedsRequest,
  owned: ({ body: { account, campaigns } }) => ({ account, campaign: campaigns }),
  run: ({ body: { account, campaigns } }) => trialNeeds(account, campaigns),
});
