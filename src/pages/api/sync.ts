import { accountQuery } from '../../contract/schemas';
import { endpoint, readBody, readQuery } from '../../server/http/endpoint';
import { askForJob, loadSync } from '../../server/sync/loadSync';

export const GET = endpoint(async (context) =>
  loadSync(readQuery<{ account: number }>(context, accountQuery).account),
);

export const POST = endpoint(async (context) => {
  const { account } = await readBody<{ account: number }>(context, accountQuery);
  return Response.json(await askForJob(account, 'sync'), { status: 202 });
});
