import { advanceRequest } from '../../contract/schemas';
import { endpoint, readBody } from '../../server/http/endpoint';
import { askForJob } from '../../server/sync/loadSync';

export const POST = endpoint(async (context) => {
  const { account, days } = await readBody<{ account: number; days: number }>(context, advanceRequest);
  return Response.json(await askForJob(account, 'advance', days), { status: 202 });
});
