import { accountQuery } from '../../../contract/schemas';
import { routesRequest } from '../../../contract/wordSchemas';
import { endpoint } from '../../../server/http/endpoint';
import { keepRoutes, loadRoutes } from '../../../server/routes/routes';

export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: ({ query: { account } }) => loadRoutes(account),
});

export const PUT = endpoint({
  may: 'decide',
  body: routesRequest,
  run: ({ body: { account, routes }, caller }) => keepRoutes(caller, account, routes),
});
