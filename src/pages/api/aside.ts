import { asideRequest } from '../../contract/asideSchemas';
import { accountQuery } from '../../contract/schemas';
import { loadAside, putAside } from '../../server/aside/aside';
import { endpoint } from '../../server/http/endpoint';

export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: ({ query: { account } }) => loadAside(account),
});

export const POST = endpoint({
  may: 'decide',
  body: asideRequest,
  run: ({ body, caller }) => putAside(caller, body),
});
