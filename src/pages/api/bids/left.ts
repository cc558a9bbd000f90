import { accountQuery } from '../../../contract/schemas';
import { endpoint } from '../../../server/http/endpoint';
import { bidsLeft } from '../../../server/plans/usualPlans';

export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: ({ query: { account } }) => bidsLeft(account),
});
