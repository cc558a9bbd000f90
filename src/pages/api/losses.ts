import { lossRequest } from '../../contract/asideSchemas';
import { accountQuery } from '../../contract/schemas';
import { changeLosses } from '../../server/aside/changeLosses';
import { loadLosses } from '../../server/aside/loadLosses';
import { endpoint } from '../../server/http/endpoint';

export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: ({ query: { account } }) => loadLosses(account),
});

/** Accepts losses, ends them, or turns them into the bids that are proposed. */
export const POST = endpoint({
  may: 'decide',
  body: lossRequest,
  run: ({ body, caller }) => changeLosses(caller, body),
});
