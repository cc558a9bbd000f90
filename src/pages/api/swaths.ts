import type { Swath } from '../../contract/field';
import { accountQuery, removalQuery, swathRequest } from '../../contract/schemas';
import { keepSwath, loadSwaths, removeSwath } from '../../server/field/swaths';
import { endpoint, readBody, readQuery } from '../../server/http/endpoint';

export const GET = endpoint(async (context) =>
  loadSwaths(readQuery<{ account: number }>(context, accountQuery).account),
);

export const PUT = endpoint(async (context) => {
  const { account, ...swath } = await readBody<Omit<Swath, 'id'> & { account: number }>(
    context,
    swathRequest,
  );
  return keepSwath(account, swath);
});

export const DELETE = endpoint(async (context) => {
  const { account, id } = readQuery<{ account: number; id: number }>(context, removalQuery);
  return removeSwath(account, id);
});
