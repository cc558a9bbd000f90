import { accountQuery, summedQuery } from '../../contract/schemas';
import { endpoint } from '../../server/http/endpoint';
import { loadSummed, removeSum } from '../../server/imports/summed';

export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: ({ query: { account } }) => loadSummed(account),
});

export const DELETE = endpoint({
  may: 'set up',
  query: summedQuery,
  run: ({ query: { account, kind, from }, caller }) => removeSum(caller, account, kind, from),
});
