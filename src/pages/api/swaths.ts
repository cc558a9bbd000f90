import { swathRequest } from '../../contract/fieldSchemas';
import { accountQuery, removalQuery } from '../../contract/schemas';
import { keepSwath, loadSwaths, removeSwath } from '../../server/field/swaths';
import { endpoint } from '../../server/http/endpoint';

export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: ({ query: { account } }) => loadSwaths(account),
});

export const PUT = endpoint({
  may: 'decide',
  body: swathRequest,
  run: ({ body: { account, ...swath }, caller }) => keepSwath(caller, account, swath),
});

export const DELETE = endpoint({
  may: 'decide',
  query: removalQuery,
  run: ({ query: { account, id }, caller }) => removeSwath(caller, account, id),
});
