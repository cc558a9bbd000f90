import type { AsideRequest } from '../../contract/aside';
import { asideRequest } from '../../contract/asideSchemas';
import { accountQuery } from '../../contract/schemas';
import { loadAside, putAside } from '../../server/aside/aside';
import { endpoint, readBody, readQuery } from '../../server/http/endpoint';

export const GET = endpoint(async (context) =>
  loadAside(readQuery<{ account: number }>(context, accountQuery).account),
);

export const POST = endpoint(async (context) =>
  putAside(await readBody<AsideRequest>(context, asideRequest)),
);
