import { routesRequest } from '../../../contract/wordSchemas';
import { accountQuery } from '../../../contract/schemas';
import type { RoutesRequest } from '../../../contract/routes';
import { endpoint, readBody, readQuery } from '../../../server/http/endpoint';
import { keepRoutes, loadRoutes } from '../../../server/routes/routes';

export const GET = endpoint(async (context) =>
  loadRoutes(readQuery<{ account: number }>(context, accountQuery).account),
);

export const PUT = endpoint(async (context) => {
  const { account, routes } = await readBody<RoutesRequest>(context, routesRequest);
  return keepRoutes(account, routes);
});
