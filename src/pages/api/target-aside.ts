import type { AsideRequest } from '../../contract/bids';
import { asideRequest } from '../../contract/bidSchemas';
import { accountQuery } from '../../contract/schemas';
import { loadTargetAside, putTargetsAside } from '../../server/bids/targetAside';
import { endpoint, readBody, readQuery } from '../../server/http/endpoint';

export const GET = endpoint(async (context) =>
  loadTargetAside(readQuery<{ account: number }>(context, accountQuery).account),
);

export const POST = endpoint(async (context) =>
  putTargetsAside(await readBody<AsideRequest>(context, asideRequest)),
);
